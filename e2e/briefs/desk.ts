import type { Visit } from './visit';

/** A bow-fronted tank on a desk beside a window, without CO2: bought second-hand, on hard tap water. */
export const desk: Visit = {
  title: 'Bow beside the window',
  brief: async (hand, picture) => {
    await hand.fill('Client', 'Mx Lowe');
    await hand.fill('Place', 'study on the ground floor');
    await hand.fill('Contact', '01 632 960 044');
    await hand.touch('[data-tick="photograph"]');
    await hand.fill('On', '6/1/2020');
    await hand.fill('Of what', 'the house magazine');
    await hand.fill('Crew', '1');
    await hand.fill('In their words', 'A pond seen from the bank, moss to the water.');
    await hand.picture(picture);
    await hand.touch('[data-test="add-seat"]');
    await hand.fill('Seat 1', 'desk chair');
    await hand.fill('in front', '650');
    await hand.fill('eyes above floor', '1150');
    await hand.choose('Window to the', 'left');
    await hand.fill('away', '900');
    await hand.fill('sun on the glass', '3');
    await hand.animal('Betta splendens');
    await hand.animal('Neocaridina davidi', '8');
    await hand.animal('Tanichthys albonubes', '4');
    await hand.fill('Who will keep it', 'the client');
    await hand.fill('Time they really have', '20');
    await hand.touch('[data-tick="no"]');
    await hand.choose('Plant food', 'one dose every day, with a 50 % change each week');
    await hand.fill('Budget for material', '180');
  },
  vessel: async (hand, picture) => {
    await hand.touch('[data-shape="bow"]');
    await hand.fill('length, left to right', '500');
    await hand.fill('width, front to back', '320');
    await hand.fill('bow stands out', '80');
    await hand.fill('glass', '6');
    await hand.fill('on the label', '80');
    await hand.choose('Background film', 'black');
    await hand.fill('film dries', '24');
    await hand.touch('[data-test="add-fixed"]');
    await hand.fill('Fixed inside', 'overflow pipe');
    await hand.fill('from the left', '380');
    await hand.touch('[data-test="add-door"]');
    await hand.fill('Name', 'study door');
    await hand.fill('clear width', '760');
    await hand.fill('stand', '18');
    await hand.fill('base height', '740');
    await hand.touch('summary', 0);
    await hand.touch('[data-test="add-device"]');
    await hand.fill('Device', 'heater');
    await hand.fill('draws', '15');
    await hand.fill('sockets there', '2');
    await hand.choose('Residual-current device', 'yes');
    await hand.choose('Room for drip loops', 'no');
    await hand.touch('summary', 1);
    await hand.fill('tap GH', '18');
    await hand.fill('tap KH', '13');
    await hand.fill('nitrate', '38');
    await hand.choose('Treated with', 'chlorine');
    await hand.fill('cold, winter', '7');
    await hand.fill('target GH', '8');
    await hand.fill('target KH', '5');
    await hand.fill('to the tap', '9');
    await hand.choose('Carried by', 'cans');
    await hand.fill('room, coldest', '16');
    await hand.fill('room, warmest', '31');
    await hand.picture(picture);
  },
  findings: [
    'brief.occasion',
    'brief.sun',
    'vessel.label',
    'heat.cool',
    'heat.heater',
    'power.loops',
    'water.hard',
    'water.nitrate',
    'livestock.temperature',
    'livestock.gh',
    'livestock.kh',
    'livestock.apart',
    'livestock.eaten',
    'livestock.group',
    'livestock.room',
    'livestock.jumps',
    'care.minutes',
  ],
};
