import '../typed.mjs';

await import('./process.ts');
