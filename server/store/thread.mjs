import '../typed.mjs';

await import('./thread.ts');
