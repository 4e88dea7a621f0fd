/* Puts the demo's data into the folder that UTSUWA_DATA names, before the server is started on it. */
import { openStore } from '../server/store/store';
import { seedDemo } from './seed';

const folder = process.env.UTSUWA_DATA;
if (!folder) throw new Error('UTSUWA_DATA: is missing, must name the folder for the demo’s data');
const store = await openStore(folder);
await seedDemo(store);
await store.close();
