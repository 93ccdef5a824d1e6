import { useNavigate, useParams } from 'react-router';
import { Refused } from '../api/client';
import { Message, Waiting, WayOn } from '../ui/Message';
import { SignIn } from '../use/SignIn';
import { Builder } from './Builder';
import { useDraft } from './useDraft';

/** The builder's side of a project. */
export function BuildPage() {
  const { project = '' } = useParams();
  const navigate = useNavigate();
  const hands = useDraft(project);
  const { draft } = hands;
  if (draft.isPending) return <Waiting what="Opening the application …" />;
  if (draft.data) return <Builder project={project} hands={hands} draft={draft.data} />;
  const e = draft.error;
  if (!(e instanceof Refused)) throw e;
  if (e.status === 401) return <SignIn onDone={() => void hands.fresh()} />;
  return (
    <Message problem={e.problem}>
      {e.away ? (
        <WayOn words="Try again" glyph="forward" onPress={() => void hands.fresh()} />
      ) : (
        <WayOn words="Choose an application" glyph="menu" onPress={() => navigate('/')} />
      )}
    </Message>
  );
}
