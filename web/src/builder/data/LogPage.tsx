import { LogEntries } from '../../administer/LogEntries';
import { api, ask } from '../../api/client';
import { useRights } from './context';
import { LogFrame } from './LogFrame';

/** Who did what to roles, rights, releases and their accounts, and from where. */
export function LogPage() {
  const { project } = useRights();
  return (
    <LogFrame
      name={`log ${project}`}
      title="Log"
      about="Roles, rights, releases and accounts: who changed what, and from where."
      none="Nothing has been changed yet."
      read={(before) => ask(api.GET('/api/build/{project}/log', { params: { path: { project }, query: { before } } }))}
    >
      {(entries) => <LogEntries entries={entries} />}
    </LogFrame>
  );
}
