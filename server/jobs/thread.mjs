import '../typed.mjs';

const { default: job } = await import('./thread.ts');
export default job;
