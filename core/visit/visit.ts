import type { Resolved } from '../resolved/resolved';
import { floorLoad, isUsualPointLoad, USUAL_LOADS, type FloorLoad } from '../site/floorLoad';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { inKg, inKnPerM2 } from '../words/measure';
import { say } from '../words/text';
import { rounded } from '../units/quantity';
import { briefFindings } from './brief';
import { carryingPlan, type CarryingPlan } from './carrying';
import { heatPlan, type HeatPlan } from './heat';
import { livestockPlan, type LivestockPlan } from './livestock';
import { powerPlan, type PowerPlan } from './power';
import { waterPlan, type WaterPlan } from './water';

/** What follows from brief, vessel and site for one option: the first visit, worked out. */
export interface VisitPlan {
  floor: FloorLoad & { usual: (typeof USUAL_LOADS)[keyof typeof USUAL_LOADS] };
  carrying: CarryingPlan;
  power: PowerPlan;
  water: WaterPlan;
  heat: HeatPlan;
  livestock: LivestockPlan;
  findings: Finding[];
}

/** Works out floor, way in, power, water, warmth and animals, each with its findings. */
export function visit(commission: Resolved, survey: Survey): VisitPlan {
  const { vessel, site } = commission;
  const floor = {
    ...floorLoad(survey.floorKg, survey.masses.footprintM2, vessel.feet),
    usual: USUAL_LOADS[site?.use ?? 'home'],
  };
  const parts = {
    carrying: carryingPlan(commission, survey),
    power: powerPlan(commission),
    water: waterPlan(commission, survey),
    heat: heatPlan(commission, survey),
    livestock: livestockPlan(commission, survey),
  };
  return {
    floor,
    ...parts,
    findings: [
      ...briefFindings(commission, survey),
      ...floorFindings(floor, site?.storey),
      ...Object.values(parts).flatMap((p) => p.findings),
    ],
  };
}

/** Said whenever the tank alone is over what such a room is designed for on average, on a floor with a room below. */
function floorFindings({ baseKnPerM2, usual, totalKg }: VisitPlan['floor'], storey?: number): Finding[] {
  const most = usual.knPerM2[1];
  if (storey === undefined || storey <= 0 || baseKnPerM2 <= most) return [];
  // A light tank on a small stand is a load like any other that people put down there.
  if (isUsualPointLoad(totalKg)) return [];
  return [
    {
      id: 'site.floor',
      severity: 'warn',
      at: { field: 'site.storey' },
      measured: rounded(baseKnPerM2, 1),
      limit: most,
      unit: 'kN/m²',
      says: say('site.floor.says', {
        mass: inKg(totalKg, 0),
        load: inKnPerM2(baseKnPerM2),
        storey,
        rooms: usual.name,
        usual: inKnPerM2(usual.knPerM2, 2, 'to'),
      }),
      because: say('site.floor.because'),
      source: usual.source,
    },
  ];
}
