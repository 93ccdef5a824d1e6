import { type Given, type Painted, Painter } from './Painter';

interface Beside {
  onmessage: ((e: MessageEvent<Given>) => void) | null;
  postMessage: (what: Painted, hands: Transferable[]) => void;
}

const beside = self as unknown as Beside; // the types of the page are not those of a worker
const painter = new Painter(
  new OffscreenCanvas(1, 1),
  (sheet) => createImageBitmap(sheet as OffscreenCanvas),
  (what) => beside.postMessage(what, [what.picture]),
  () => new Promise((go) => setTimeout(go)),
);
beside.onmessage = (e) => painter.give(e.data);
