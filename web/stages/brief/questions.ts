/**
 * The first visit in the order in which one talks, with the reason for every question. The screen shows the
 * reason beside the answer; the visit sheet prints the same questions for those who go without a device.
 */
export interface Question {
  id: string;
  asks: string;
  why: string;
  /** Lines to write on, or boxes to tick, on the printed sheet. */
  lines?: number;
  ticks?: readonly string[];
}

export interface Topic {
  id: string;
  title: string;
  questions: readonly Question[];
}

export const TOPICS: readonly Topic[] = [
  {
    id: 'who',
    title: 'Who, and where',
    questions: [
      {
        id: 'client',
        asks: 'Who is it for, and where will it stand?',
        why: 'The order, the run sheet and the care guide are addressed by it.',
        lines: 2,
      },
    ],
  },
  {
    id: 'why',
    title: 'Why now, and by when',
    questions: [
      {
        id: 'occasion',
        asks: 'Is there a day it must be ready for?',
        why: 'A photograph or a show wants eight weeks of growth, an opening one quiet night.',
        lines: 1,
        ticks: ['opening', 'show', 'photograph', 'birthday', 'none'],
      },
      {
        id: 'build',
        asks: 'Which day, with how many hands?',
        why: 'Every order-by day and the run sheet count back from it.',
        lines: 1,
      },
    ],
  },
  {
    id: 'rescape',
    title: 'New, or a running tank',
    questions: [
      {
        id: 'rescape',
        asks: 'Does it run already? What stays, what goes, how far is the filter, where are the animals meanwhile?',
        why: 'What stays is not bought, poured or planted again; what is taken out was biofilter.',
        lines: 2,
        ticks: [
          'new build',
          'stone stays',
          'wood stays',
          'substrate stays',
          'plants stay',
          'water kept',
          'filter kept',
          'animals stay in',
        ],
      },
    ],
  },
  {
    id: 'story',
    title: 'Story and pictures',
    questions: [
      {
        id: 'story',
        asks: 'What should it remind them of?',
        why: 'It stands with its pictures in the tray of the bench while you draw.',
        lines: 3,
      },
    ],
  },
  {
    id: 'seats',
    title: 'Seats',
    questions: [
      {
        id: 'seats',
        asks: 'From where is it looked at?',
        why: 'Decides which way the wood points; each seat becomes a view of the bench.',
        lines: 3,
      },
      {
        id: 'window',
        asks: 'Which side is the window, how far, how much sun?',
        why: 'Beside a window the light starts an hour shorter; sun warms the water and feeds algae.',
        lines: 1,
      },
    ],
  },
  {
    id: 'animals',
    title: 'Animals',
    questions: [
      {
        id: 'livestock',
        asks: 'What do they wish to see swim?',
        why: 'Held against water, stone, temperature, tank and each other before a stone is chosen.',
        lines: 3,
      },
    ],
  },
  {
    id: 'keeping',
    title: 'Keeping it',
    questions: [
      {
        id: 'keeper',
        asks: 'Who keeps it, and how many minutes a week have they really?',
        why: 'Set against the minutes that this scape asks.',
        lines: 1,
      },
      {
        id: 'co2',
        asks: 'Injected CO2, and what may it cost?',
        why: 'A set can cost more than a small build; without one the plant list shrinks.',
        lines: 1,
        ticks: ['yes', 'no'],
      },
      {
        id: 'schools',
        asks: 'Which schools of water change, plant food and planting?',
        why: 'Makes the dates, litres and doses of the first eight weeks, and the order of the build day.',
        lines: 1,
      },
    ],
  },
  {
    id: 'money',
    title: 'Money, and what is there',
    questions: [
      {
        id: 'budget',
        asks: 'What may the material cost?',
        why: 'The Tally holds every stone and cup against it.',
        lines: 1,
      },
      {
        id: 'owned',
        asks: 'What do they own that goes in again?',
        why: 'It joins the yard, marked as theirs, and is not bought.',
        lines: 2,
      },
    ],
  },
];

/** What the sheet asks of vessel and site, to be measured while standing there. */
export const MEASURES: readonly Topic[] = [
  {
    id: 'vessel',
    title: 'Vessel',
    questions: [
      {
        id: 'size',
        asks: 'Inner length × width × height, bow, glass, water line, label (mm, L)',
        why: '',
        lines: 2,
        ticks: ['box', 'bow', 'cylinder', 'half', 'hexagon', 'corners'],
      },
      { id: 'top', asks: 'Rim, braces, chambers, anything fixed; lid, mat, film', why: '', lines: 2 },
    ],
  },
  {
    id: 'site',
    title: 'Site',
    questions: [
      { id: 'route', asks: 'Doors, lift (size, load), stairs, turns from the van', why: '', lines: 3 },
      { id: 'floor', asks: 'Storey, stand (kg, feet, base); what is below', why: '', lines: 1 },
      {
        id: 'power',
        asks: 'Sockets, circuit (A), what else is on it',
        why: '',
        lines: 1,
        ticks: ['residual-current device', 'room for drip loops'],
      },
      {
        id: 'water',
        asks: 'Tap GH, KH, pH, nitrate; winter and summer °C; metres to tap and drain',
        why: '',
        lines: 2,
        ticks: ['chlorine', 'chloramine', 'hose', 'cans', 'RO'],
      },
      { id: 'room', asks: 'Room at its coldest and warmest (°C)', why: '', lines: 1 },
    ],
  },
];

const WHY = new Map(TOPICS.flatMap((t) => t.questions.map((q) => [q.id, q])));

/** A question by its id. */
export function question(id: string): Question {
  return WHY.get(id)!;
}
