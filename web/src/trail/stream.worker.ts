import { Gate } from './Gate';
import { type At, Stream } from './Stream';

/** What a tab asks of the worker, and what it hears. */
export type Asked = { listen: At; id: number } | { ready: number } | { end: number } | { lock: string } | { bye: true };
export type Told = { id: number; name: string; data: string | undefined };

/**
 * The one stream of a browser in an application, shared by its tabs. The name of the worker is the address that the
 * stream is opened at.
 */
interface Shared {
  name: string;
  onconnect: ((e: MessageEvent) => void) | null;
}

const worker = self as unknown as Shared; // the types of the page are not those of a shared worker
const stream = new Stream(
  (places) => new EventSource(`${worker.name}?${new URLSearchParams(places.map((at) => ['at', at]))}`),
);

worker.onconnect = (e) => {
  const [port] = e.ports;
  if (!port) return;
  const ends = new Map<number, () => void>();
  const gates = new Map<number, Gate>();
  const leave = () => {
    for (const end of ends.values()) end();
    ends.clear();
    gates.clear();
  };
  port.onmessage = ({ data }: MessageEvent<Asked>) => {
    if ('listen' in data) {
      const { id } = data;
      const gate = new Gate((name, heard) => port.postMessage({ id, name, data: heard } satisfies Told));
      gates.set(id, gate);
      ends.set(id, stream.listen(data.listen, gate.heard));
    } else if ('ready' in data) {
      gates.get(data.ready)?.ready();
    } else if ('end' in data) {
      ends.get(data.end)?.();
      ends.delete(data.end);
      gates.delete(data.end);
    } else if ('lock' in data) {
      // A tab holds this as long as it is there: whoever gets it knows that it is gone.
      void navigator.locks?.request(data.lock, leave);
    } else leave();
  };
};
