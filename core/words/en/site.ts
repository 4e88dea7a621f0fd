/** What a first visit finds of brief, floor, way in, power and warmth. */
export const SITE = {
  'occasion.photograph': 'photograph',
  'occasion.show': 'show',
  'occasion.opening': 'opening',
  'occasion.birthday': 'birthday',
  'occasion.other': 'occasion',
  'occasion.noted': '{kind} ({note})',
  'brief.occasion.says.before':
    'The {occasion} is {days, plural, one {# day} other {# days}} before the build day.',
  'brief.occasion.says':
    '{days, plural, one {# day} other {# days}} from the build to the {occasion}, {needs} are wanted.',
  'brief.occasion.because.grown':
    'A planted tank takes about eight weeks to grow in: build earlier, or plant denser and in pots.',
  'brief.occasion.because': 'Build earlier: the water clears and settles overnight at the least.',
  'side.left': 'left',
  'side.right': 'right',
  'side.back': 'back',
  'side.front': 'front',
  'brief.sun.says': '{hours} h of sun from a window {distance} to the {side}.',
  'brief.sun.because':
    'It feeds algae and warms the water: a blind, a film on that side, a shorter photoperiod.',
  'rescape.filter.says': 'Animals live in it, and its filter is not kept.',
  'rescape.filter.because':
    'Without mature media ammonia rises within days. Keep the filter running on the holding tank, and do not clean it that day.',
  'rescape.surfaces.says': 'About {lost} % of what keeps ammonia down goes in one day: {parts}.',
  'biofilter.part': '{part} {percent} %',
  'biofilter.media': 'filter media',
  'biofilter.bed': 'bed',
  'biofilter.stone': 'stone',
  'biofilter.wood': 'wood',
  'biofilter.plants': 'plants',
  'biofilter.glass': 'glass',
  'rescape.surfaces.because':
    'By an estimate from surfaces; animals feel more than 30 %. Keep one of them for a later day, do not clean the filter, test the next day and the day after.',
  'rescape.waiting.says':
    'Nobody has said where {count, plural, one {the animal is} other {the # animals are}} while the tank is worked on.',
  'rescape.waiting.because.tubs':
    'The bed goes from under them, so tubs are planned: say so in the brief, or that they stay in or go elsewhere.',
  'rescape.waiting.because.stay':
    'The bed stays, so they are planned to stay in what water is left: say so in the brief, or that they go into tubs or elsewhere.',
  'rescape.waiting.because.elsewhere': 'Say so in the brief.',
  'rescape.holding.says': '{has} to wait in for {fish} cm of fish, {needs} wanted.',
  'rescape.holding.because.stay': 'They wait in what is left of the water: drain less, or set tubs up.',
  'rescape.holding.because.tubs':
    'They wait all day in their own water with the filter running: bring another tub and a cover.',
  'gear.turnover.says': '{devices}: {water} of free water turned over {times} times an hour.',
  'gear.turnover.because.less':
    '{least} to {most} times is usual: a larger filter, a second one, or fewer animals and plants that bear still water.',
  'gear.turnover.because.more':
    '{least} to {most} times is usual: choke it, spread it over two outflows, or plants and small fish are blown about.',
  'gear.late.says': '{device} comes on {day}, {days, plural, one {one day} other {# days}} after the build.',
  'gear.late.because': 'Move the build day, borrow one, or plan a visit for it.',
  'gear.late.because.filter':
    'Without a filter nothing alive goes in, and plants want half the water changed daily. Borrow one, or move the build day.',
  'gear.late.because.heater': 'Fill warmer and borrow a heater; nothing that needs warmth goes in before.',
  'gear.late.because.lamp': 'Plants bear three or four dark days; hardly more. Borrow a lamp.',
  'gear.late.because.co2':
    'Plants that need it stand still and gather algae: half the light until it runs, and a visit to put it in.',
  'gear.kept.says': 'The filter is to run through the work, and it is taken out: {devices}.',
  'gear.kept.because':
    'What runs through keeps what lives in it. Keep it until the new one has taken over, say that the filter is not kept, or list the media that move over.',
  'gear.co2.says': 'The CO2 set lacks: {parts}.',
  'gear.film.none.says': 'A background film is planned, and none is on the list.',
  'gear.film.none.because': 'It is applied the day before: list it, or whose it is.',
  'gear.timer.none.says': 'A lamp is listed, and no timer.',
  'gear.timer.none.because':
    'The hours of light rest on one: list it, or one in the lamp as a timer that is there.',
  'gear.co2.none.says': 'CO2 is wanted, and no device on the list gives any.',
  'gear.co2.none.because':
    'List the set or its parts, say what it costs, or say that there is no CO2: plants are then chosen and grow without.',
  'gear.co2.because':
    'Gas gear that arrives late is the classic slip: list every part, or say that the set is whole.',
  'gear.co2.because.check-valve':
    'Without a check valve water runs back into the regulator when the gas is off. List every part, or say that the set is whole.',
  'co2.cylinder': 'cylinder',
  'co2.regulator': 'regulator with solenoid',
  'co2.check-valve': 'check valve',
  'co2.bubble-counter': 'bubble counter',
  'co2.diffuser': 'diffuser',
  'co2.drop-checker': 'drop checker',
  'gear.collides.says': '{device} and {piece} stand in the same place.',
  'gear.collides.because': 'Move one of them: the room for gear belongs to the drawing.',
  'gear.reach.says': '{device} is not reached {side}: {piece} is in the way.',
  'gear.reach.says.glass': '{device} is not reached {side}: the glass is too near.',
  'gear.reach.because':
    'A hand needs {hand}. It has to be cleaned every few weeks: move it, or serve it from another side.',
  'reach.above': 'from above',
  'reach.left': 'from the left',
  'reach.right': 'from the right',
  'reach.front': 'from the front',
  'site.floor.says':
    '{mass}, {load} under the base, on storey {storey}; {rooms} are usually designed for {usual}.',
  'site.floor.because':
    'Ask a structural engineer before anything is ordered: only one can say whether this floor carries it.',
  'floor.decides':
    'Shown beside what such rooms are usually designed for. Whether this floor carries it is for a structural engineer to say.',
  'use.home': 'homes',
  'use.office': 'offices',
  'use.shop': 'shops',
  'use.assembly': 'rooms for gatherings',
  'load.tank': 'tank',
  'load.stand': 'stand',
  'load.cylinder': 'cylinder',
  'The.tank': 'The tank',
  'The.stand': 'The stand',
  'The.cylinder': 'The cylinder',
  'route.width.says': '{what} needs {has} at {where}, {is} wide.',
  'route.height.says': '{what} is {has} high, {where} {is}.',
  'route.depth.says': '{what} does not fit {where}: {has} long, {is} deep.',
  'route.turn.says': '{what}, {has} long, does not go round {where}: {is} is the longest.',
  'route.mass.says': '{what} and who rides along: {has} in {where}, rated {is}.',
  'route.because': 'Find another way in, take a door off its hinges, or plan a smaller piece. Measure twice.',
  'team.lifts':
    '{count, plural, one {# person lifts} other {# people lift}} the empty tank: {limit} is recommended for one.',
  'team.lifts.stairs':
    '{count, plural, one {# person lifts} other {# people lift}} the empty tank on the stairs: {limit} is recommended for one.',
  'team.crowded':
    'The empty tank is not for hands alone: {limit} is recommended for one, it would take {count}, and about {room} find room round it. Plan a glass lifter, a hoist or a mover.',
  'team.crowded.stairs':
    'The empty tank is not for hands alone on the stairs: {limit} is recommended for one, it would take {count}, and about {room} find room round it. Plan a glass lifter, a hoist or a mover.',
  'route.team.says': 'The empty tank weighs {mass}: {count} lift it, {crew} come.',
  'route.team.says.stairs': 'The empty tank weighs {mass}: {count} lift it on the stairs, {crew} come.',
  'route.team.says.crowded': 'The empty tank weighs {mass}: more than hands can share.',
  'route.team.says.crowded.stairs': 'The empty tank weighs {mass}: more than hands can share on the stairs.',
  'route.team.because':
    '{limit} is recommended for one, gripping glass. Bring help or suction grips. Local rules for lifting decide.',
  'route.team.because.crowded':
    '{limit} is recommended for one, gripping glass. Plan a glass lifter, a hoist or a mover. Local rules for lifting decide.',
  'lift.distance': 'distance',
  'lift.height': 'height',
  'lift.travel': 'travel',
  'lift.turn': 'turn',
  'lift.grip': 'grip',
  'lift.often': 'often',
  'power.electrician': 'Fixed wiring is for an electrician, by local code.',
  'power.sockets.says':
    '{short, plural, one {# socket short} other {# sockets short}}: {plugs} plugs, {sockets} there.',
  'power.sockets.because':
    'One strip with its own switch, hung above the floor, not one in another. Fixed wiring is for an electrician, by local code.',
  'power.load.says': '{amps} A on a circuit of {circuit} A, {most} A is the most that stays on.',
  'power.load.because': 'Spread it over two circuits. Fixed wiring is for an electrician, by local code.',
  'power.protection.says': 'No residual-current device on this circuit.',
  'power.protection.because':
    'Water and mains stand side by side here. Fixed wiring is for an electrician, by local code.',
  'power.loops.says': 'No room for drip loops below the sockets.',
  'power.loops.because':
    'A drop runs down the flex into the plug. Move the strip up, or lead the flexes below it first.',
  'heat.cool.says': '{warm} in a room of {room}, {most} is the most.',
  'heat.cool.because': 'A cooler for {watts} W, a fan over the open top, or shorter light in summer.',
  'heat.none.says':
    'No heater is listed: at {room} in the room the water rests at {rests}, {least} is wanted.',
  'heat.heater.says': '{has} W of heater, {leave} W leave at {room} in the room.',
  'heat.none.because.choice':
    'It stands without a heater by choice: animals that bear the room, a room that stays warmer, or a heater after all.',
  'heat.heater.because': '{heaters} would hold {water}; a lid saves most of it.',
  watts: '{watts} W',
  'cost.budget.says': 'Material for {cost}, {agreed} agreed.',
  'cost.budget.says.gas': 'Material and CO2 set for {cost}, {agreed} agreed.',
  'cost.budget.says.lots': 'Material and second-hand lots for {cost}, {agreed} agreed.',
  'cost.budget.says.both': 'Material, CO2 set and second-hand lots for {cost}, {agreed} agreed.',
  'cost.budget.because': 'Agree the difference, use more from the yard, or plant more economically.',
  'gear.name.filter': 'filter',
  'gear.name.media': 'filter media',
  'gear.name.heater': 'heater',
  'gear.name.lamp': 'light',
  'gear.name.co2': 'CO2 set',
  'gear.name.pipes': 'inflow and outflow pipes',
  'gear.name.skimmer': 'surface skimmer',
  'gear.name.pump': 'flow pump',
  'gear.name.timer': 'timer',
  'gear.name.stand': 'stand',
  'gear.name.lid': 'glass lid',
  'gear.name.mat': 'mat under the base',
  'gear.name.film': 'background film',
  'gear.name.test-kit': 'test kit',
  'gear.name.food': 'food',
  'gear.part.cylinder': 'CO2 cylinder',
  'gear.part.regulator': 'CO2 regulator',
  'gear.part.check-valve': 'CO2 check valve',
  'gear.part.bubble-counter': 'CO2 bubble counter',
  'gear.part.diffuser': 'CO2 diffuser',
  'gear.part.drop-checker': 'CO2 drop checker',
  'gear.part.set': 'CO2 set',
} as const;
