/** What has to happen before the build: asked for, joined, soaked, tried, made ready. */
export const BEFOREHAND = {
  'why.earlier.leak': 'A tank that leaks needs no film.',
  'why.earlier.aside': 'It is there before it is worked on.',
  'why.earlier.joined': 'Joints cure on dry pieces, so this comes before the tub.',
  'before.media.title': 'Start maturing the filter media',
  'before.media.detail': 'in a running tank; it moves over wet on the build day',
  'before.reserve.title': 'Set aside: {things}',
  'before.reserve.detail': 'from the yard and the stock, so that nobody else takes them',
  'before.client.title': 'Ask the client for: {things}',
  'before.client.living': '{ready}; what lives stays in tank water until it is set',
  'before.client.ready': 'ready on the day',
  'before.client.worked': 'what is worked on or used beforehand is here by then, the rest on the day',
  'before.bring.title': 'Bring from the studio: {things}',
  'before.bring.detail': 'as it was counted when it came; what lives travels upright, out of frost and sun',
  'before.brokenDown.title': 'Break down {name}: {things}',
  'before.lot.title': 'Fetch {name}: {things}',
  'before.brokenDown.detail': 'about {minutes} min for one pair of hands, {mass} to carry; {how}.',
  'before.brokenDown.light': 'about {minutes} min for one pair of hands; {how}.',
  'brokenDown.travels.pieces': 'stone and wood under wet cloth',
  'brokenDown.travels.dry': 'stone and wood wrapped, none on another',
  'brokenDown.travels.plants': 'plants in shallow water, covered',
  'brokenDown.travels.bed': 'soil and grain drained into tubs with lids',
  'brokenDown.tank': 'the tank ({mass} empty)',
  'brokenDown.travels.tank': 'the tank empty, on its whole base, never by its braces',
  'brokenDown.travels.gear': 'devices emptied, filter media under water',
  'before.brokenDown.animals': 'Animals first, into their own water, with air and out of the cold.',
  'before.brokenDown.heavy':
    '{count} people for the heaviest, gloves on, a clear way to the van. Local rules for lifting decide.',
  'brokenDown.animals': '{count} {name}',
  'brokenDown.gear': 'devices {devices}',
  'brokenDown.late.says':
    '{name} is broken down on {day}, {days, plural, one {a day} other {# days}} after its parts are wanted.',
  'brokenDown.late.because':
    'Something of it is set, joined or put to soak before that. Break it down sooner, or set its parts in a later sitting.',
  'brokenDown.night.says':
    '{name}, broken down on {day}: a wait of {nights, plural, one {a night} other {# nights}} for {things}.',
  'brokenDown.night.because':
    'Animals need a tank that runs, media flow and what is lived on water that moves and keeps its warmth: a tub with a filter, or break it down on the day.',
  'brokenDown.empty.says': 'Nothing of {name}, broken down on {day}, comes into this scape.',
  'brokenDown.empty.because':
    'Say of a stone, a layer, a plant, a device or an animal that it comes out of it; or take it off the list.',
  'before.soak.title': 'Into the tub: {pieces}',
  'before.soak.detail':
    '{days, plural, one {# day} other {# days}} of soaking in {count, plural, one {a tub} other {# tubs}}, weighted down, before it stays down by itself',
  'before.soak.long':
    '{days, plural, one {# day} other {# days}} of soaking in {count, plural, one {a tub} other {# tubs}} before it stays down by itself; {pieces} is longer than a tub: a trough, or one end after the other for twice as long',
  'before.joints.title': 'Join outside, {method}: {joints}',
  'before.joints.detail':
    '24 h to cure; then {mass} carried in as one by {count, plural, one {one person} other {# people}}, borne under {pieces}, never by its thin end. {caution}',
  'before.leak.title': 'Leak test of the tank',
  'before.leak.detail':
    'before anything is bought to its size: level, on its mat, outside or where water does no harm, {litres} to the line; dry paper around the base, looked at after an hour, in the evening and after a day. Siphoned empty before anybody lifts it; edges of old glass cut.',
  'before.film.title': 'Background film, {colour}',
  'before.film.side': '{side} {size}',
  'before.film.detail': '{sides}; applied wet, squeezed out, trimmed; {hours} h to dry',
  'before.ro.title': 'Start making {litres} of RO water',
  'before.ro.detail': '{hours} h at {rate}',
} as const;
