import '../typed.mjs';

const work = await import('./work.ts');

/** One job by its name. */
export default ({ name, input }) => work[name](input);
