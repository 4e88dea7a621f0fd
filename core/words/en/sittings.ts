/** The work in sittings: what each is called, how it leaves the tank, and what is wrong with a day. */
export const SITTINGS = {
  'sitting.build': 'Filling',
  'sitting.table': 'Trial on the table',
  'sitting.trial': 'Trial in the tank',
  'sitting.hardscape': 'Hardscape',
  'sitting.planting': 'Planting',
  'sitting.detail': 'Detail visit',
  'sitting.rebuild': 'Second look at the hardscape',

  'table.title': 'Trial on the table',
  'table.detail':
    'on a table taped to the tank’s measure, box edges for panes; photograph from the seat and from above, number every piece',
  'compose.title': 'Go over what stands',
  'compose.detail':
    'from the seat and from a picture in black and white; what is changed is photographed before and after',
  'compose.detail.limit':
    'from the seat and from a picture in black and white, for {minutes} min and no longer: a clock rings, and what stands then stands',
  'step.limit': 'time that was set for it',
  'arrive.title': 'Tools out, what stands looked over',
  'arrive.short': 'Looked over',
  'arrive.detail': 'what has slid, sagged, dried or come loose is put right before anything goes on it',
  'leave.title': 'Leave it for {nights, plural, one {one night} other {# nights}}',
  'leave.title.day': 'Leave it until {time}',
  'leave.short': 'Left as it may be',
  'leave.detail': '{left} A picture from the seat.',
  'carry.title': 'Carry in the tank with its scape, {mass}',
  'carry.short': 'Carried in',
  'carry.detail':
    'on a rigid board that stays under it, never by its rim; {scape} of it is the scape. What only stands ({pieces}) travels beside it, and so does anything that lives, wet. Then level and mat',
  'carry.detail.planted':
    'on a rigid board that stays under it, never by its rim; {scape} of it is the scape. All water is out down to the bed, film over the plants; what only stands ({pieces}) travels beside it. Then level and mat',
  'caution.carry':
    'Glass with a bed in it is carried level or not at all: a shifted load breaks a seam. Gloves, shoes, the way cleared first; nobody walks backwards down stairs. Local rules for lifting decide.',
  'step.glass': 'the tank',
  'step.bed.carried': 'bed in it',
  'step.pieces.carried': 'stone and wood in it',
  'why.carry': 'It stands in its place before anything goes on in it.',
  'break.title': 'Break',
  'break.detail': 'hands off, something to eat; then one look from the seat before the first plant',
  'step.school': 'as your school has it',
  'why.break': 'Your school rests between hardscape and planting.',
  'why.clears': 'The water gets {minutes} min to clear before its picture is taken.',
  'lane.clears': 'water clears',
  'why.arrive': 'Nobody builds on what has moved since.',
  'why.leave': 'It is the last thing of the sitting.',

  'left.untouched': 'The tank runs on as it did.',
  'left.table':
    'The set-up stays on the table until it is carried in, with a number on every piece and pictures from the seat and from above.',
  'left.cleared':
    'The tank stands empty and wiped; what was tried lies beside it in the order in which it goes in.',
  'left.dry':
    'Dry: bed and pieces as they stand, a cloth over the rim against dust and paws, nothing plugged in.',
  'left.damp':
    'Damp: the bed moist to its surface with no water over it, everything misted, film over the whole rim.',
  'left.damp.weeks':
    'A dry start: the bed moist to its surface with no water over it, film over the rim. The lamp hangs and its timer gives 8 to 10 hours a day. Each day the film is off for ten minutes, everything is misted and looked at for mould. In the last week the film is opened a little more each day.',
  'left.water':
    '{litres} stay in it: filter and heater run through the night, the water covers the intake, a lid or net lies on.',
  'left.tubs':
    'The animals’ tubs have filter, heater and a cover; their water is tested in the evening and in the morning.',
  'left.cures':
    '{joints} {count, plural, one {cures for} other {cure for}} {hours} h: the prop stays, nothing hangs on it and nothing leans.',
  'never.untouched': 'Nobody leaves before filter, heater and light are on again.',
  'never.table': 'No piece leaves the table without its number.',
  'never.cleared': 'Nothing damp stays in the tank, and nothing leans on its panes.',
  'never.dry':
    'No water in it to try, nothing laid across the rim, no piece that only a hand or a prop holds and nobody watches.',
  'never.damp': 'No sun on the film, no water standing among the plants, no leaf that dries at its edge.',
  'never.water':
    'The filter does not stand still over night, nothing is left that can slide into the water, no glue or dust over it. Everything electric has its drip loop.',

  'visit.look.title': 'Look it over',
  'visit.look.detail':
    'what has slid, floated, silted or come loose; what the glass shows; a picture from the seat',
  'visit.piece.title': '{piece}, {material}',
  'visit.piece.detail':
    '{mass}, lowered through the water by hand, never dropped; seated until it does not rock',
  'visit.out.title': 'Take {piece} out again',
  'visit.out.detail':
    '{mass}; lifted straight up, its hole closed with bed. First try by hand whether what it held stays down without it',

  'plant.in-water':
    '{count, plural, one {# plug} other {# plugs}}, set through all the water: tweezers along the glass, each held down until the grain closes',
  'plant.in-water.part':
    '{count, plural, one {# plug} other {# plugs}}, set in the first of the water, each held down until the grain closes',
  'step.under-water': 'set through water',
  'fill-part.title': 'Fill to {height}, {litres}',
  'fill-part.short': 'First water',
  'why.in-water': 'They are set in water that stands so high.',
  'why.in-water.part': 'They are set before the rest of the water comes.',
  'why.glued': 'It is poured when the glue has set: grain in an open joint keeps it open.',
  'fill.other':
    'first the {litres} from another tank, {count, plural, one {one tub} other {# tubs}}, then {words}',
  'step.other': 'from another tank',
  'water.other.says': '{litres} of the first fill come from another tank.',
  'water.other.because':
    'It carries few bacteria, which live on surfaces, and whatever else lives in it: snails, algae, disease. Media that have run bring more.',
  'step.less.part': 'in it already',
  'visit.cut.title': 'Cut the ties of {joints}',
  'visit.cut.detail': 'once what they held has set or rooted; try each by hand first, and take every end out',

  'build.midnight.says.sitting': 'The sitting on {day} ends at {end}, past midnight.',
  'build.house.says.sitting':
    'The sitting on {day} runs from {start} to {end}; the house lets people work from {from} to {until}.',
  'build.long.says.sitting':
    'The sitting on {day} takes {hours} h with {crew, plural, one {one person} other {# people}}.',

  'sitting.clash.says':
    'Two sittings on {day}: the one from {start} still lasts when the next begins at {next}.',
  'sitting.clash.because':
    'It lasts until {end}. Start the next then, give it another day, or move tasks out of the first.',
  'sitting.needs.says': '{then} on {day} needs {first}, which is only done on {later}.',
  'sitting.needs.because': '{because} Move {first} to {day} or before, or {then} to {later}.',
  'sitting.needs.stands': 'It stands on it.',
  'sitting.needs.joined': 'A joint wants all its pieces.',
  'sitting.needs.grows': 'It is planted on it.',
  'sitting.needs.roots': 'It is planted in it.',
  'sitting.cures.says':
    '{joints} {count, plural, one {needs a} other {need a}} cure of {hours} h, and {gap} h later the next sitting begins.',
  'sitting.cures.because':
    'What has not cured lets go when it is loaded or gets wet. Give the next sitting a later hour or day, or join them with something that holds sooner.',
  'sitting.cures.water.says':
    '{joints} {count, plural, one {needs a} other {need a}} cure of {hours} h, and the water comes on the same day.',
  'sitting.cures.water.because':
    'It gets wet before it holds. Join them outside beforehand, or in a sitting a day before the water.',
  'sitting.night.animals.says':
    'Animals are in tubs for {nights, plural, one {a night} other {# nights}}, from {day} on.',
  'sitting.night.animals.because':
    'A tub for hours is no tank for a night: their own filter and a heater run on it, a cover keeps them in, and the water is tested. Better a second tank, or one sitting from catching to return.',
  'sitting.night.media.says':
    'The filter stands still for {nights, plural, one {a night} other {# nights}}, from {day} on.',
  'sitting.night.media.because':
    'What lives in its media dies within hours without flow. Let it run on a tub with tank water or on the water that stays, or fill on that day.',
  'sitting.night.living.says':
    '{pieces} {count, plural, one {is out} other {are out}} of water for {nights, plural, one {a night} other {# nights}}, from {day} on.',
  'sitting.night.living.because':
    'What lives on it dies within two hours. Set it in the last sitting; until then it lies in tank water.',
  'sitting.dries.says':
    '{pieces} {count, plural, one {stands dry} other {stand dry}} for {nights, plural, one {one night} other {# nights}} between the tub and the water.',
  'sitting.dries.because':
    'Wood that has soaked dries again and floats when it is filled. Join it to stone, weigh it down until it is soaked once more, keep it wrapped wet, or set it last.',
  'sitting.air.says':
    '{plants} come out of a running tank and stand in air for {nights, plural, one {one night} other {# nights}}.',
  'sitting.air.because':
    'Leaves grown under water dry out under any film. Take plants grown above water or in vitro for a dry start, or set these on the day of the water.',
  'sitting.empty.says': 'Nothing is done in the sitting on {day}.',
  'sitting.empty.because': 'Carry a task to it, or take the day away.',
  'sitting.empty.because.planting':
    'Carry a planting to it, or take the day away; planting through the water, as a school may have it, belongs to the day on which that comes.',
  'sitting.limit.says': 'The sitting on {day} takes {minutes} min; its limit is {limit}.',
  'sitting.limit.because':
    'Then it stops, whatever stands. Move tasks to another sitting, bring another pair of hands, or give it more time.',
  'sitting.past.says': 'A sitting was for {day}, {days, plural, one {# day} other {# days}} ago.',
  'sitting.past.because':
    'Held: leave its day as it is, so that the record is right. Not held: give it a day from today on; what waits for it moves too.',

  'note.about': '{name} {id}',
  'note.open.says': 'Still open: {text}',
  'note.open.says.until': 'Open until {day}: {text}',
  'note.open.because': 'Answer it in the log, with who said so.',
  'note.open.because.late':
    'Its day was {days, plural, one {# day} other {# days}} ago. Answer it in the log, or give it another day.',
  'calendar.held': 'Yes or no to {candidate} for {piece}: it is held until today',
  'calendar.question': 'To answer: {text}',

  'move.only.build': '{task} belongs to the day of the water: it cannot come later.',
} as const;
