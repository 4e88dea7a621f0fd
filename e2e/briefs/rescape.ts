import type { Visit } from './visit';

/** A rescape of a running tank of 200 litres with its fish, on a tap that is soft enough. */
export const rescape: Visit = {
  title: 'Old gravel tank',
  brief: async (hand, picture) => {
    await hand.fill('Client', 'The Brill family');
    await hand.fill('Place', 'living room');
    await hand.fill('From', '10:00');
    await hand.touch('[data-tick="birthday"]');
    await hand.touch('[data-tick="rescape"]');
    await hand.touch('[data-tick="water"]');
    await hand.touch('.v-switch input');
    await hand.fill('water to wait in', '15');
    await hand.fill('In their words', 'What the children swam in last summer.');
    await hand.picture(picture);
    await hand.touch('[data-test="add-seat"]');
    await hand.fill('Seat 1', 'children');
    await hand.fill('eyes above floor', '900');
    await hand.choose('Window to the', 'back');
    await hand.fill('away', '3000');
    await hand.animal('Mikrogeophagus ramirezi', '2');
    await hand.animal('Corydoras panda', '8');
    await hand.animal('Paracheirodon innesi', '20');
    for (const i of [0, 1, 2]) await hand.touch('[data-test="present"]', i);
    await hand.fill('Who will keep it', 'the eldest');
    await hand.fill('Time they really have', '15');
    await hand.touch('[data-tick="no"]');
    await hand.choose('Water changes', 'fish in');
    await hand.choose(
      'Plant food',
      'none for four weeks: the soil feeds them; then one dose after each change',
    );
    await hand.touch('[data-test="add-owned"]');
    await hand.fill('What', 'old limestone');
    await hand.choose('of', 'Limestone, grey veined');
    await hand.fill('high', '180');
  },
  vessel: async (hand, picture) => {
    await hand.fill('length, left to right', '1000');
    await hand.fill('width, front to back', '400');
    await hand.fill('height', '500');
    await hand.fill('water line', '470');
    await hand.fill('glass', '10');
    await hand.touch('.v-switch input', 0);
    await hand.touch('.v-switch input', 1);
    await hand.touch('[data-test="add-stairs"]');
    await hand.fill('steps', '8');
    await hand.fill('storey, 0 ground', '1');
    await hand.touch('summary', 0);
    await hand.touch('[data-test="usual-devices"]');
    await hand.touch('[data-test="take-proposed"]');
    await hand.fill('sockets there', '6');
    await hand.fill('circuit', '16');
    await hand.touch('summary', 1);
    await hand.fill('tap GH', '5');
    await hand.fill('tap KH', '3');
    await hand.fill('tap pH', '7.2');
    await hand.choose('Treated with', 'none');
    await hand.fill('cold, summer', '17');
    await hand.fill('hot tap', '55');
    await hand.fill('target', '25.5');
    await hand.fill('room, coldest', '18');
    await hand.picture(picture);
  },
  findings: [
    'rescape.filter',
    'rescape.surfaces',
    'rescape.holding',
    'vessel.mat',
    'site.floor',
    'route.team',
    'livestock.temperature',
    'livestock.apart',
    'livestock.stone',
    'care.minutes',
  ],
  afterwards: async (hand) => {
    await hand.go('Bench');
    await hand.touch('[data-yard]');
  },
};
