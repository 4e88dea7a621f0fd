import { describe, expect, it } from 'vitest';
import { dosingSchoolOf, startTimeOf, waterSchoolOf } from './usual';

describe('a brief that says nothing', () => {
  it('starts at half past eight, tapers its changes and feeds little (common practice)', () => {
    expect([startTimeOf({}), waterSchoolOf({}), dosingSchoolOf({})]).toEqual(['08:30', 'taper', 'lean']);
    const schools = { water: 'weekly', dosing: 'none' } as const;
    expect([
      startTimeOf({ startTime: '07:15' }),
      waterSchoolOf({ schools }),
      dosingSchoolOf({ schools }),
    ]).toEqual(['07:15', 'weekly', 'none']);
  });
});
