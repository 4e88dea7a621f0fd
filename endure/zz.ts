import { crowd } from './crowd';
import { memory } from './memory';
import { holds } from './hold';
const which = process.argv[2];
const r = await ({ crowd: () => crowd(200), memory: () => memory(), hold: () => holds() } as any)[which]();
console.log(JSON.stringify(r, null, 1));
