import { useNavigate } from 'react-router';
import type { Refused } from '../api/client';
import type { Trail } from '../trail/Trail';
import { Message, WayOn } from '../ui/Message';
import { SignIn } from './SignIn';

/** What the server refused, in the place of the screen, with the ways on. */
export function Refusal({ trail, refused, project }: { trail: Trail; refused: Refused; project: string }) {
  const navigate = useNavigate();
  const { shown } = trail.state;
  if (refused.status === 401) {
    return (
      <SignIn
        onDone={() => {
          trail.recover();
          void (shown ? trail.reload() : navigate(0));
        }}
      />
    );
  }
  const home = () => {
    trail.recover();
    if (shown) void trail.go('home');
    else navigate(`/use/${project}`, { replace: true });
  };
  // Where one has no role, or there is nothing, home is refused as well.
  const elsewhere = ['no-project', 'no-role', 'no-start', 'not-released'].includes(refused.problem.code);
  return (
    <Message problem={refused.problem}>
      {shown && <WayOn words="Back to where you were" glyph="back" onPress={() => void trail.reload()} />}
      {!elsewhere && <WayOn words="Home" glyph="home" onPress={home} />}
      {elsewhere && <WayOn words="Choose an application" glyph="menu" onPress={() => navigate('/')} />}
    </Message>
  );
}
