import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { unknownFields } from './unknown';
import { spoken } from '../words/english';

describe('fields that are not known', () => {
  it('are named with their path and the nearest name', () => {
    const doc = structuredClone(example('held-root')) as any;
    doc.vessel.waterlineMm = 300;
    doc.options[0].bed[0].top.frontmm = 3;
    doc.options[0].pieces[0].zebra = true;
    doc.catalogue.materials[0].settels = 0.1;
    expect(spoken(unknownFields(doc))).toEqual([
      {
        path: 'vessel.waterlineMm',
        says: 'is not known here and was kept as it is; was "waterLineMm" meant?',
      },
      { path: 'options[0].bed[0].top.frontmm', says: expect.stringContaining('"frontMm" meant?') },
      { path: 'options[0].pieces[0].zebra', says: 'is not known here and was kept as it is' },
      { path: 'catalogue.materials[0].settels', says: expect.stringContaining('"settles" meant?') },
    ]);
  });

  it('are none in a document of this version, and at most twenty are named', () => {
    expect(unknownFields(example('level-cube'))).toEqual([]);
    const doc = structuredClone(example('level-cube')) as any;
    for (let i = 0; i < 100; i++) doc.brief[`zz${i}zzzzz`] = i;
    expect(unknownFields(doc)).toHaveLength(20);
  });
});
