import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, it } from 'vitest';

/* Relations say for what they are valid, what they leave out, and which test holds them; here that it is so. */

const files = readdirSync(import.meta.dirname, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .map((file) => ({ file, text: readFileSync(join(import.meta.dirname, file), 'utf8') }));
const tests = new Map(
  files.filter((f) => f.file.endsWith('.test.ts')).map((f) => [basename(f.file), f.text]),
);

/** Every function whose comment names a test, with the comment on one line. */
const relations = files
  .filter((f) => !f.file.endsWith('.test.ts'))
  .flatMap(({ file, text }) =>
    [
      ...text.matchAll(/\/\*\*((?:(?!\*\/)[\s\S])*?Test: (?:(?!\*\/)[\s\S])*?)\*\/\s*export function (\w+)/g),
    ].map(([, comment, name]) => ({ file, name, comment: comment.replace(/\s*\n\s*\*\s*/g, ' ').trim() })),
  );

/** What a plan rests on: each of these has to say all of it. */
const CENTRAL = [
  'asActual', 'asItWas', 'asPlanned', 'bedMesh', 'beltAlong', 'beltAround', 'bicarbonateG', 'booksOf', 'bowRadius', 'branchSolid', 'brokenDownOf', 'brushed', 'carriedScape',
  'cellCoverage', 'cellGradient', 'cheapestPacks', 'closesLike', 'cooledCelsius', 'coverDays', 'coverShare', 'cutRun', 'difference', 'dliForFactor', 'driftRegion',
  'evaporationKgPerH', 'facesOf', 'fillUnder', 'firstFill', 'floorLoad', 'followed', 'gapMm', 'gearSeen', 'glassKg', 'goodsHere', 'gripOf', 'grownArea', 'growthOf', 'guideWords', 'gypsumG',
  'heatLoss', 'hiddenShare', 'homeOf', 'intoWaterW', 'isShaded', 'jobIn', 'joinedRegion', 'jointsToHide', 'kilonewtonsFromKg', 'labourOf', 'leastTotal',
  'leftAfter', 'leftOver', 'liftKgf', 'lightMap', 'lightOnDay', 'limbsOf', 'lineOffers', 'litresToHeight', 'loadsOf', 'longestRound', 'measurePocket', 'meshVolume', 'mirrored',
  'mixedCelsius', 'moundSteepestDeg', 'movesWith', 'netLiftKgf', 'onTheHour', 'orderDay', 'otherPrices', 'parted', 'partingBrightness', 'pathRegion', 'pieceFrom',
  'plugPositions', 'plugsFor', 'polygonArea', 'poreWaterL', 'potentialFlow', 'pouredL', 'powerLoad', 'powerOf', 'ppfdFrom', 'priceChanges', 'proposedGear',
  'quoteOf', 'reachFromFront', 'recommendedKg', 'recordedOf', 'regionWithout', 'relax', 'remainingShare', 'resolve', 'restingCelsius', 'roSchedule', 'roShort', 'roughStone',
  'saturationKPa', 'seenThroughPane', 'shadeOf', 'shelfFindings', 'shoppingOf', 'shutOff', 'silhouette', 'sittingsOf', 'slopedAreaMm2', 'solidOfOutlines',
  'spacingToCover', 'splitRegion', 'squaringUp', 'stabilityOf', 'standsOn', 'starts', 'stoneToHoldKg', 'stoppedBy', 'strewnAmount', 'substitutesFor', 'swapsFor', 'tabSpots',
  'takesOf', 'tankFlow', 'throughLeaves', 'throughPlates', 'tiled', 'traced', 'trialOf', 'tubsFor', 'turnToSeat', 'variations', 'waterDensity', 'waterRecipe', 'weekOf', 'withoutIt', 'writtenOff',
]; // prettier-ignore

describe('relations', () => {
  it('are those that a plan rests on', () => {
    expect(relations.map((r) => r.name).sort()).toEqual(CENTRAL);
  });

  it.each(relations)(
    '$name says for what it is valid, what it leaves out, and a test that is there',
    ({ comment }) => {
      expect(comment).toMatch(/Valid for .+\. Leaves out: .+\./);
      const [, file, title] = /Test: ([\w.]+), "(.+)"\./.exec(comment)!;
      expect(tests.get(file), file).toContain(title);
    },
  );
});
