import type { Visit } from './visit';

/** A braced wall tank of two metres on a third floor, on RO water, with a chamber, CO2 and an opening to meet. */
export const wall: Visit = {
  title: 'Braced wall, third floor',
  brief: async (hand, picture) => {
    await hand.fill('Client', 'Corrie Mill Dental');
    await hand.fill('Place', 'waiting hall, third floor');
    await hand.touch('[data-tick="opening"]');
    await hand.fill('On', '6/1/2020');
    await hand.fill('Of what', 'the new wing');
    await hand.fill('Crew', '3');
    await hand.leave();
    await hand.fill('Person 2', 'Ines');
    await hand.fill('In their words', 'A river bank that one walks along.');
    await hand.picture(picture);
    for (const [i, name, away] of [
      [0, 'sofa', '2600'],
      [1, 'counter', '3800'],
    ] as const) {
      await hand.touch('[data-test="add-seat"]');
      await hand.fill(`Seat ${i + 1}`, name);
      await hand.fill('in front', away, i);
    }
    await hand.choose('Daylight, without a window', 'indirect');
    await hand.animal('Symphysodon aequifasciatus', '6');
    await hand.animal('Paracheirodon axelrodi', '60');
    await hand.animal('Ambastaia sidthimunki');
    await hand.animal('Melanotaenia praecox', '120');
    await hand.fill('Who will keep it', 'the caretaker');
    await hand.fill('Time they really have', '60');
    await hand.touch('[data-tick="yes"]');
    await hand.fill('What the set costs', '420');
    await hand.choose('Water changes', 'large vessel on RO');
    await hand.fill('Budget for material', '300');
    await hand.touch('[data-test="add-owned"]');
    await hand.fill('What', 'their boulder');
    await hand.fill('long', '640');
    await hand.fill('deep', '560');
    await hand.fill('high', '600');
    await hand.fill('weighs', '180');
  },
  vessel: async (hand, picture) => {
    await hand.fill('length, left to right', '2000');
    await hand.fill('width, front to back', '600');
    await hand.fill('height', '600');
    await hand.fill('water line', '560');
    await hand.fill('glass', '15');
    await hand.fill('rim, inwards', '40');
    await hand.touch('[data-test="add-brace"]');
    await hand.fill('from the left', '800');
    await hand.fill('to', '920');
    await hand.touch('[data-test="add-chamber"]');
    await hand.fill('Chamber', 'weir');
    await hand.fill('clear depth', '150');
    await hand.fill('backlight', '60');
    await hand.touch('[data-test="add-door"]');
    await hand.fill('Name', 'street door');
    await hand.fill('clear width', '600');
    await hand.fill('clear height', '580');
    await hand.touch('[data-test="add-lift"]');
    await hand.fill('depth', '1400');
    await hand.fill('rated load', '320');
    await hand.touch('[data-test="add-stairs"]');
    await hand.fill('steps', '54');
    await hand.touch('[data-test="add-turn"]');
    await hand.fill('clear width', '1050');
    await hand.fill('CO2 cylinder', '9');
    await hand.fill('stand', '95');
    await hand.fill('feet', '8');
    await hand.fill('base height', '850');
    await hand.fill('storey, 0 ground', '3');
    await hand.choose('The room is', 'office');
    await hand.touch('summary', 0);
    await hand.touch('[data-test="usual-devices"]');
    await hand.touch('[data-test="take-proposed"]');
    await hand.touch('[data-test="add-device"]');
    await hand.fill('Device', 'kettle on the same circuit');
    await hand.fill('draws', '2200');
    await hand.fill('sockets there', '3');
    await hand.fill('circuit', '13');
    await hand.choose('Residual-current device', 'no');
    await hand.touch('summary', 1);
    await hand.fill('tap GH', '16');
    await hand.fill('tap KH', '12');
    await hand.choose('Treated with', 'chloramine');
    await hand.fill('target', '27');
    await hand.fill('RO makes', '4');
    await hand.fill('RO storage', '100');
    await hand.fill('to the drain', '12');
    await hand.fill('room, coldest', '19');
    await hand.fill('room, warmest', '25');
    await hand.picture(picture);
  },
  findings: [
    'brief.occasion',
    'site.floor',
    'route.width',
    'route.height',
    'route.depth',
    'route.turn',
    'route.mass',
    'route.team',
    'power.sockets',
    'power.load',
    'power.protection',
    'water.ro',
    'livestock.apart',
    'livestock.crowd',
    'care.minutes',
    'cost.budget',
    'piece.passes',
  ],
  afterwards: async (hand) => {
    // The client's boulder stands first in the yard: set on the bench, it is held against the braces.
    await hand.go('Bench');
    await hand.touch('[data-yard]');
  },
};
