import { Gate } from './Gate';
import { type At, type Heard, type Source, Stream } from './Stream';
import type { Asked, Told } from './stream.worker';

const joined = new Map<string, (at: At) => Source>();

/** Opens a place at the stream that all tabs of the browser share; where browsers share nothing, at one of the tab’s own. */
export function joinStream(url: string, at: At): Source {
  let join = joined.get(url);
  if (!join) {
    join = typeof SharedWorker === 'undefined' ? ownStream(url) : sharedStream(url);
    joined.set(url, join);
  }
  return join(at);
}

function ownStream(url: string) {
  const stream = new Stream(
    (places) => new EventSource(`${url}?${new URLSearchParams(places.map((at) => ['at', at]))}`),
  );
  return (at: At) =>
    sourceOf((heard) => {
      const gate: Gate = new Gate(drawnBy(heard, () => gate.ready()));
      return stream.listen(at, gate.heard);
    });
}

function sharedStream(url: string) {
  const worker = new SharedWorker(new URL('./stream.worker.ts', import.meta.url), { type: 'module', name: url });
  const hears = new Map<number, (name: string, data?: string) => void>();
  const say = (asked: Asked) => worker.port.postMessage(asked);
  worker.port.onmessage = ({ data }: MessageEvent<Told>) => hears.get(data.id)?.(data.name, data.data);
  const lock = `ambergate.stream.${crypto.getRandomValues(new Uint32Array(4)).join('-')}`;
  void navigator.locks?.request(lock, () => new Promise(() => say({ lock })));
  window.addEventListener('pagehide', () => say({ bye: true }));
  let last = 0;
  return (at: At) =>
    sourceOf((heard) => {
      const id = ++last;
      hears.set(
        id,
        drawnBy(heard, () => say({ ready: id })),
      );
      say({ listen: at, id });
      return () => {
        hears.delete(id);
        say({ end: id });
      };
    });
}

/** Says when what came was drawn: not before somebody sees the tab. */
function drawnBy(heard: Heard, ready: () => void): Heard {
  return (name, data) => {
    heard(name, data);
    if (name === 'live') requestAnimationFrame(ready);
  };
}

/** What one place of a stream tells, as a source of its own. */
function sourceOf(listen: (heard: (name: string, data?: string) => void) => () => void): Source {
  const heard = new Map<string, (e: { data?: string }) => void>();
  const end = listen((name, data) => heard.get(name)?.({ data }));
  return { addEventListener: (name, hears) => void heard.set(name, hears), close: end };
}
