import { wording } from '../../words/wording';
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
        asks: wording('questions.client'),
        why: wording('questions.clientWhy'),
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
        asks: wording('questions.occasion'),
        why: wording('questions.occasionWhy'),
        lines: 1,
        ticks: ['opening', 'show', 'photograph', 'birthday', 'none'],
      },
      {
        id: 'build',
        asks: wording('questions.day'),
        why: wording('questions.dayWhy'),
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
        asks: wording('questions.rescape'),
        why: wording('questions.rescapeWhy'),
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
      {
        id: 'brokenDown',
        asks: wording('questions.brokenDown'),
        why: wording('questions.brokenDownWhy'),
        lines: 1,
      },
    ],
  },
  {
    id: 'story',
    title: 'Story and pictures',
    questions: [
      {
        id: 'story',
        asks: wording('questions.story'),
        why: wording('questions.storyWhy'),
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
        asks: wording('questions.seats'),
        why: wording('questions.seatsWhy'),
        lines: 3,
      },
      {
        id: 'window',
        asks: wording('questions.window'),
        why: wording('questions.windowWhy'),
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
        asks: wording('questions.animals'),
        why: wording('questions.animalsWhy'),
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
        asks: wording('questions.keeper'),
        why: wording('questions.keeperWhy'),
        lines: 1,
      },
      {
        id: 'co2',
        asks: wording('questions.co2'),
        why: wording('questions.co2Why'),
        lines: 1,
        ticks: ['yes', 'no'],
      },
      {
        id: 'schools',
        asks: wording('questions.schools'),
        why: wording('questions.schoolsWhy'),
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
        asks: wording('questions.budget'),
        why: wording('questions.budgetWhy'),
        lines: 1,
      },
      {
        id: 'owned',
        asks: wording('questions.owned'),
        why: wording('questions.ownedWhy'),
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
        asks: wording('questions.tank'),
        why: '',
        lines: 2,
        ticks: ['box', 'bow', 'cylinder', 'half', 'hexagon', 'corners'],
      },
      { id: 'top', asks: wording('questions.top'), why: '', lines: 2 },
    ],
  },
  {
    id: 'site',
    title: 'Site',
    questions: [
      { id: 'route', asks: wording('questions.route'), why: '', lines: 3 },
      { id: 'floor', asks: wording('questions.floor'), why: '', lines: 1 },
      {
        id: 'power',
        asks: wording('questions.sockets'),
        why: '',
        lines: 1,
        ticks: ['residual-current device', 'room for drip loops'],
      },
      {
        id: 'water',
        asks: wording('questions.tap'),
        why: '',
        lines: 2,
        ticks: ['chlorine', 'chloramine', 'hose', 'cans', 'RO'],
      },
      { id: 'room', asks: wording('questions.room'), why: '', lines: 1 },
    ],
  },
];

const WHY = new Map(TOPICS.flatMap((t) => t.questions.map((q) => [q.id, q])));

/** A question by its id. */
export function question(id: string): Question {
  return WHY.get(id)!;
}
