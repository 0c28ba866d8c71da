export { catalogue } from './all.js';
export { bit } from './bits.js';
export { driver } from './drivers.js';
export {
  adapter,
  bitHolder,
  driverHandle,
  extension,
  flatRatchet,
  joint,
  pipe,
  plainBar,
  ratchet,
  tHandle,
  thumbWheel,
} from './handles.js';
export { foldingSet, keySet, lKey, lobeKey, tKey } from './keys.js';
export { mode } from './parts.js';
export { bitSocket, plugSocket, socket, twelvePointSocket } from './sockets.js';
export { adjustable, combinationSpanner, openSpanner, ringSpanner } from './spanners.js';
export { axleKey, handTool, hookSpanner, plugSpanner, spokeKey, tyreLever } from './special.js';
export { functional, pliers } from './things.js';
