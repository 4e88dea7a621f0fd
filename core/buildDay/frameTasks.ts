import { isUsualPointLoad } from '../site/floorLoad';
import { bringing, recipeFor } from '../filling/filling';
import { filterStateOf } from '../commission/usual';
import { bacteriaDays } from '../regime/bacteria';
import { mediaToMature } from '../regime/maturing';
import { gearThere, hasGasSource, lateDevices } from '../gear/gear';
import { gasFrom } from '../regime/gas';
import { lightOf } from '../light/photoperiod';
import { waterByHeight } from '../survey/waterByHeight';
import { inCelsius, inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS, together } from './cautions';
import { firstHeightMm, step, type Job } from './job';
import { RATES } from './rates';
import { freshDevices, workOf } from './rescapeTasks';
import type { Step } from './task';

/** A mat that lies under the tank already, or comes with the gear. */
function hasMat(commission: Job['commission']): boolean {
  return commission.vessel.mat === true || gearThere(commission, 'mat').length > 0;
}

/** What every build has: the floor and the gear before it. A tank that runs stands level and has its gear. */
export function openingTasks(job: Job): Step[] {
  const { rescape } = job.commission.brief;
  const { gear } = workOf(job);
  const unpacked = gear === 'gas' ? 'unpack.detail.gas' : 'unpack.detail';
  const named = freshDevices(job).map((d) => d.name);
  const protect: [Text, Text] = rescape
    ? [say('protect.title.there'), say('protect.detail.there')]
    : [say(hasMat(job.commission) ? 'protect.title.mat' : 'protect.title'), say('protect.detail')];
  return [
    whole(
      job,
      'protect',
      'prepare',
      [protect[0], say('protect.short')],
      protect[1],
      RATES.protect,
      rescape ? CAUTIONS.mains : isUsualPointLoad(job.survey.floorKg) ? CAUTIONS.stand : CAUTIONS.floor,
    ),
    ...(gear === 'none'
      ? []
      : [
          whole(
            job,
            'unpack',
            'prepare',
            [say('unpack.title'), say('unpack.short')],
            gear !== 'gas' && named.length > 0
              ? say('unpack.detail.list', { devices: named })
              : say(unpacked),
            RATES.unpack * (gear === 'all' ? 1 : GAS_SHARE),
          ),
        ]),
  ];
}

/** A CO2 set by itself, or what is new to a tank that runs, takes this part of the time that all gear takes (common practice). */
const GAS_SHARE = 0.5;

/** Water, start and what is left at the end. */
export function closingTasks(job: Job): Step[] {
  const { co2, rescape } = job.commission.brief;
  const work = workOf(job);
  const planted = job.plantings.some((p) => p.plugs > 0);
  const percent = Math.round(lightOf(job.commission, 1).outputShare * 100);
  const listed = job.commission.gear.length > 0;
  const lit = !listed || gearThere(job.commission, 'lamp').length > 0;
  return [
    ...(work.gear !== 'none'
      ? [
          whole(
            job,
            'equipment',
            'finish',
            work.gear === 'gas'
              ? [say('equipment.title.gas')]
              : [say('equipment.title'), say('equipment.short')],
            work.gear === 'gas' ? say('equipment.detail') : equipmentWords(job),
            RATES.equipment * (work.gear === 'all' ? 1 : GAS_SHARE),
          ),
        ]
      : []),
    ...wetBed(job),
    ...fillPart(job),
    ...fill(job),
    ...(work.drained
      ? [
          whole(
            job,
            'refloat',
            'water',
            planted ? [say('refloat.title'), say('refloat.short')] : [say('refloat.title.bare')],
            say('refloat.detail'),
            RATES.refloat,
          ),
          whole(
            job,
            'start',
            'finish',
            [
              lit
                ? say(rescape ? 'start.title.there' : 'start.title', { percent })
                : say(rescape ? 'start.title.there.dark' : 'start.title.dark'),
              say(rescape ? 'start.short.there' : 'start.short'),
            ],
            startWords(job),
            RATES.start,
            co2 ? together([CAUTIONS.power, CAUTIONS.gas]) : CAUTIONS.power,
          ),
        ]
      : []),
    {
      ...whole(
        job,
        'photograph',
        'finish',
        [say('photograph.title'), say('photograph.short')],
        say('photograph.detail'),
        RATES.photograph,
        rescape ? undefined : CAUTIONS.animals,
      ),
      wantsClear: true,
    },
    whole(job, 'clear-up', 'finish', [say('clear-up.title')], say('clear-up.detail'), RATES.clearUp),
  ];
}

/** What of the gear goes into the water or on its pipes, by name where it is listed. */
function equipmentWords(job: Job): Text {
  const { commission } = job;
  const fresh = new Set(freshDevices(job).map((g) => g.id));
  const wet = gearThere(commission, 'filter', 'pipes', 'heater', 'co2', 'skimmer', 'pump').filter((g) => fresh.has(g.id)); // prettier-ignore
  return wet.length > 0
    ? say('equipment.detail.list', { devices: wet.map((g) => g.name) })
    : say('equipment.detail');
}

/** What is started, of what there is: nothing that is not listed is named, and what comes later is. */
function startWords({ commission }: Job): Text {
  const { brief } = commission;
  const on = gearThere(commission, 'filter', 'heater', 'lamp').map((g) => g.name);
  const moved = filterStateOf(brief) !== 'new' && !brief.rescape?.filterKept;
  const steps = [
    ...(moved || mediaToMature(commission).length > 0 ? [say('start.media.wet')] : []),
    ...(on.length > 0 ? [say('start.on', { devices: on, count: on.length })] : []),
    ...(gasFrom(commission)?.day === 0 && hasGasSource(commission) ? [say('start.gas')] : []),
    ...(bacteriaDays(commission).includes(0) ? [say('start.bacteria')] : []),
    ...(brief.rescape ? [say('start.temperature')] : []),
    ...(gearThere(commission, 'timer').length > 0 ? [say('start.timer')] : []),
    say('start.leaks'),
  ];
  const words = say('start.detail', { steps });
  const late = lateDevices(commission).map((d) => d.name);
  return late.length > 0 ? say('start.without', { words, devices: late }) : words;
}

/** Litres that a bed takes up to its own surface, for those who plant into wet soil: its pores, and what stands in its hollows. */
function wetBedL({ commission, survey, pours, fill }: Job): { litres: number; mm: number } {
  if (commission.brief.schools?.moisture !== 'wet' || fill.remainsL > 0 || pours.length === 0)
    return { litres: 0, mm: 0 };
  const { surfaceMm } = survey.field;
  const mm = surfaceMm.reduce((sum, z) => sum + z, 0) / surfaceMm.length;
  return { litres: waterByHeight(survey, commission, [mm])[0].litres, mm };
}

/** Water to the surface of the bed before anything is planted. */
function wetBed(job: Job): Step[] {
  const { litres, mm } = wetBedL(job);
  if (litres <= 0) return [];
  return [
    {
      id: 'wet-bed',
      phase: 'water',
      title: say('wet-bed.title', { litres: inLitres(litres) }),
      short: say('wet-bed.short'),
      detail: say('wet-bed.detail', { height: inMm(mm) }),
      minutes: bringing(job.commission, litres).minutes,
      people: 1,
      workings: [step(say('step.pores.and.hollows'), litres, 'L')],
    },
  ];
}

/** Litres to the height at which the first plants are set in water. */
function partL(job: Job): { litres: number; mm: number } {
  const mm = firstHeightMm(job);
  if (mm === undefined) return { litres: 0, mm: 0 };
  const litres = waterByHeight(job.survey, job.commission, [mm])[0].litres - wetBedL(job).litres;
  return { litres: Math.max(0, Math.min(litres, job.fill.newL - wetBedL(job).litres)), mm };
}

/** Water to a height, where some plants are set in it before the rest comes. */
function fillPart(job: Job): Step[] {
  const { litres, mm } = partL(job);
  // What stands so high already takes nothing.
  if (litres < 0.5) return [];
  return [
    {
      id: 'fill-part',
      phase: 'water',
      title: say('fill-part.title', { litres: inLitres(litres, 0), height: inMm(mm) }),
      short: say('fill-part.short'),
      detail: say('fill.how'),
      minutes: bringing(job.commission, litres).minutes,
      people: 1,
      caution: CAUTIONS.siphon,
      workings: [step(say('step.water'), litres, 'L')],
    },
  ];
}

/** The difference to what stands in the tank: old water first, then new. */
function fill(job: Job): Step[] {
  const { freeWaterL, poreWaterL } = job.survey;
  const { newL, remainsL } = job.fill;
  const { litres: keptL, tubs } = job.kept;
  const [wetL, firstL] = [wetBedL(job).litres, partL(job).litres];
  const bedL = wetL + firstL;
  const volume = newL + keptL - bedL;
  if (volume < 0.5) return [];
  const { minutes } = bringing(job.commission, newL - bedL);
  const { rescape } = job.commission.brief;
  const old = rescape !== undefined && remainsL + keptL > 0.05;
  const pouring = keptL > 0 ? tubs * RATES.perTub : 0;
  const words = newL > 0.05 ? fillWords(job, newL - bedL) : say('fill.none');
  return [
    {
      id: 'fill',
      phase: 'water',
      title: say(old ? 'fill.title.there' : 'fill.title', { litres: inLitres(volume, 0) }),
      short: say('fill.short'),
      detail:
        keptL > 0
          ? say(rescape ? 'fill.kept' : 'fill.other', { litres: inLitres(keptL, 0), count: tubs, words })
          : words,
      minutes: minutes + pouring,
      people: 1,
      ...clearing(job),
      caution: CAUTIONS.siphon,
      workings: [
        step(say('step.water'), freeWaterL, 'L'),
        step(say('step.pores'), poreWaterL, 'L'),
        ...(wetL > 0 ? [step(say('step.less.bed'), -wetL, 'L')] : []),
        ...(firstL > 0 ? [step(say('step.less.part'), -firstL, 'L')] : []),
        ...(remainsL > 0 ? [step(say('step.remains'), -remainsL, 'L')] : []),
        ...(keptL > 0 ? [step(say(rescape ? 'step.kept' : 'step.other'), keptL, 'L'), step(say('step.tubs'), pouring, 'min', say('rate.tub', { count: tubs, minutes: RATES.perTub }))] : []), // prettier-ignore
        ...(newL < volume + bedL - 0.05 ? [step(say('step.new'), newL, 'L')] : []),
        step(say('step.brought'), minutes, 'min', PRACTICE),
      ],
    },
  ];
}

/** The water settles before anybody takes its picture, where the school gives it time. */
function clearing({ commission }: Job): Pick<Step, 'clears'> {
  const { clearMin } = commission.brief.schools ?? {};
  return clearMin === undefined ? {} : { clears: clearMin };
}

/** The water recipe, where the tap was measured, and how it goes in. */
function fillWords({ commission }: Job, volumeL: number): Text {
  if (!commission.site?.tap) return say('fill.how');
  const r = recipeFor(commission, volumeL);
  const parts = [
    [r.tapColdL, 'fill.cold'],
    [r.tapHotL, 'fill.hot'],
    [r.roL, 'fill.ro'],
  ] as const;
  const mix = parts.flatMap(([l, what]) => (l >= 0.5 ? [say(what, { litres: inLitres(l, 0) })] : []));
  return say('fill.detail', { mix, celsius: inCelsius(r.celsius, 0) });
}

/** A task that every tank has: its minutes grow with the size of the tank alone. */
function whole(
  { size }: Job,
  id: string,
  phase: Step['phase'],
  [title, short]: readonly [Text, Text?],
  detail: Text,
  usual: number,
  caution?: Text,
): Step {
  const minutes = usual * size;
  const workings = [
    step(say('step.whole'), usual, 'min', PRACTICE),
    ...(size < 1 ? [step(say('step.size'), size, '×', say('step.size.note'))] : []),
  ];
  return {
    id,
    phase,
    title,
    ...(short ? { short } : {}),
    detail,
    minutes,
    people: 1,
    ...(caution ? { caution } : {}),
    workings,
  };
}
