import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type DeviceApplication, type DeviceInfo } from '../../api/client';
import { Action } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { Page, Signed } from '../Page';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { DeviceDialog } from './DeviceDialog';
import { deviceState } from './device';

/** Unattended displays: what each shows, as which role, and whether it is there. */
export function DevicesPage() {
  const [adding, setAdding] = useState(false);
  return (
    <Signed needs="administers">
      {(me) => (
        <Page
          me={me}
          title="Displays"
          action={
            <Action tone="main" onClick={() => setAdding(true)}>
              Add a display
            </Action>
          }
        >
          <List adding={adding} onAdded={() => setAdding(false)} />
        </Page>
      )}
    </Signed>
  );
}

function List({ adding, onAdded }: { adding: boolean; onAdded: () => void }) {
  const [open, setOpen] = useState<string>();
  const page = useQuery({
    queryKey: ['devices'],
    queryFn: () => ask(api.GET('/api/devices')),
    refetchInterval: 10_000, // one looks here while a code is typed elsewhere
  });
  if (page.isPending) return <Waiting what="Loading the displays …" />;
  if (!page.data) return <Told words={wordsOf(page.error)} />;
  const { devices, applications } = page.data;
  const chosen = devices.find((d) => d.id === open);
  return (
    <>
      <Box color="muted" mb="16px" maxW="640px">
        A display on a wall or at a counter shows one application as one role, without a person. It comes in by a code
        that is typed there once, at {window.location.origin}/display.
      </Box>
      {devices.length > 0 && (
        <Box asChild w="full" borderCollapse="collapse" textAlign="left">
          <table aria-label="Displays">
            <thead>
              <tr>
                {['Name', 'Shows', 'As', 'State'].map((h) => (
                  <Box asChild key={h} fontSize="note" color="muted" fontWeight="700" py="6px" pr="14px">
                    <th scope="col">{h}</th>
                  </Box>
                ))}
              </tr>
            </thead>
            <tbody>
              {devices.map((d) => (
                <Line key={d.id} device={d} applications={applications} onOpen={() => setOpen(d.id)} />
              ))}
            </tbody>
          </table>
        </Box>
      )}
      {devices.length === 0 && <Box color="muted">No display yet.</Box>}
      {adding && <DeviceDialog applications={applications} onClose={onAdded} />}
      {chosen && (
        <DeviceDialog key={chosen.id} device={chosen} applications={applications} onClose={() => setOpen(undefined)} />
      )}
    </>
  );
}

interface LineProps {
  device: DeviceInfo;
  applications: DeviceApplication[];
  onOpen: () => void;
}

function Line({ device: d, applications, onOpen }: LineProps) {
  const app = applications.find((a) => a.id === d.project);
  const state = deviceState(d, Date.now());
  return (
    <Box asChild borderTopWidth="1px" borderColor="rule" verticalAlign="top">
      <tr>
        <Cell>
          <Box
            as="button"
            cursor="pointer"
            fontWeight="700"
            textDecoration="underline"
            textDecorationColor="rule"
            onClick={onOpen}
          >
            {d.name}
          </Box>
        </Cell>
        <Cell>
          {app?.title}, from “{app?.screens.find((s) => s.id === d.start)?.name ?? 'a screen that is gone'}”
        </Cell>
        <Cell>{app?.roles.find((r) => r.id === d.role)?.name ?? 'a role that is gone'}</Cell>
        <Cell>
          <Box fontSize="note" fontWeight="700" color={state.bad ? 'brick' : 'muted'}>
            {state.words}
          </Box>
        </Cell>
      </tr>
    </Box>
  );
}

function Cell({ children }: { children: React.ReactNode }) {
  return (
    <Box asChild py="9px" pr="14px">
      <td>{children}</td>
    </Box>
  );
}
