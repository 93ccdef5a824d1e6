import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Action } from '../ui/controls';
import { Asked } from './Asked';
import { Entrance } from './FirstPage';
import { wordsOf } from './problems';
import { Told } from './Told';

/** Where a browser becomes an unattended display, by a code that is typed once. */
export function DisplayPage() {
  const [code, setCode] = useState('');
  const enrol = useMutation({
    mutationFn: () => ask(api.POST('/api/device', { body: { code } })),
    onSuccess: ({ project }) => {
      sessionStorage.clear(); // what somebody did here before is not the display's
      window.location.replace(`/use/${project}`);
    },
  });
  return (
    <Entrance
      title="This display"
      lead="Type the code that this display was given. It stays in from then on, without anybody signed in; whoever is signed in here is signed out."
      onSubmit={() => enrol.mutate()}
    >
      <Asked label="Code" value={code} onChange={setCode} hint="ABCDE-FGHIJ" first />
      <Told words={wordsOf(enrol.error)} />
      <Action type="submit" tone="main" minH="44px" disabled={code.trim() === '' || enrol.isPending}>
        Begin
      </Action>
    </Entrance>
  );
}
