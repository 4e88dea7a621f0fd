/** What cannot be had in time, and what was confirmed otherwise than it was asked for. */
export const ORDERING = {
  'order.never.says': '{supplier} does not deliver {name} before {day}.',
  'order.never.because': 'It is closed on every delivery day of the year before. Choose another supplier.',
  'order.lost.says':
    '{name} from {supplier}, {given} confirmed: {short, plural, =0 {none missing} one {one missing} other {# missing}}, {broken} broken, {dead} dead.',
  'order.lost.because':
    'Claim it the same day with a picture, by {reference}. What is missing stands under what is still to be ordered, with its last day.',
  'order.lost.because.enough':
    'Claim it the same day with a picture, by {reference}. What is left is enough for this scape.',
  'order.minimum.says': '{supplier} sends for {least} and more: {lacks} are missing.',
  'order.minimum.because':
    'Buy more of it there, from one who sends for less, or ask whether they make an exception.',
  'order.late.says': '{name} had to be ordered by {day}, {late, plural, one {# day ago} other {# days ago}}.',
  'order.late.because':
    '{supplier} cannot bring it before {day}. Ask for it sooner, choose another supplier, or move the build day.',
  'order.keeps.says':
    '{name} arrives {early, plural, one {# day} other {# days}} before it is needed and keeps {keeps}.',
  'order.keeps.because': 'The last delivery is too early. Choose another supplier or move the build day.',
  'order.short.says': '{supplier} gives {given} of {asked, plural, one {# pack} other {# packs}} of {name}.',
  'order.short.because': 'The rest is still to be ordered: {rest}.',
  'order.short.because.nobody':
    'Nobody else on the list sells it: give it another supplier, or plan with what comes.',
  'order.rest': '{packs} from {supplier}',
  'order.opens.says': 'Nobody is named who opens {reference} from {supplier} on {day}: plants are in it.',
  'order.opens.because':
    'They come out of the box within hours: what sweats in the dark rots first. Rinse them, look for snails, keep them wet and at room warmth, out of the sun, until they are planted.',
  'order.after.says': '{supplier} brings {name} on {day}.',
  'order.after.because':
    'It must be there before {day}. Ask for an earlier day, have it from somebody else, or move the build day.',
  'order.noday.says': '{supplier} has confirmed {name} without a day.',
  'order.noday.because': 'It must be there before {day}: ask when it comes.',
  'order.keeps.because.confirmed': 'Ask for a later day, or for a place where it can wait.',
  'order.over.says': '{name}: {packs} more than anything needs.',
  'order.over.because': 'Ask {supplier} about {reference}, or keep it for the next job.',
  'mail.subject': 'Order {reference}, {studio}',
  'mail.order': 'Order {reference}, {day}',
  'mail.dear': '{name}, please send us:',
  'mail.line': '{words} {name} (your number {article}), {price}',
  'mail.sum': 'Goods: {sum}.',
  'mail.sum.carriage': 'Goods {sum}, carriage {carriage}, {all} in all.',
  'mail.wanted': 'Wanted by {day}.',
  'mail.living': 'What lives only on a day that you have told us: somebody has to be there for it.',
  'mail.confirm':
    'Please confirm with your number and the day, and say what you have not got before you send something else.',
} as const;
