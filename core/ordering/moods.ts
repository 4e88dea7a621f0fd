/** How a simulated supplier answers: as it has it, a week late, half of it, something else instead, with a refusal, or never. */
export const MOODS = ['usual', 'late', 'half', 'instead', 'refuses', 'silent'] as const;
export type Mood = (typeof MOODS)[number];
