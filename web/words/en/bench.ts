/** What the bench says. */
export const BENCH = {
  'bedPanel.empty': 'No bed yet: lay something on.',
  'bedTools.atRest': 'Nothing moves: it lies at what it holds.',
  'bedTools.noFiller': 'No filler is in the catalogue.',
  'bedTools.notDeepEnough': 'Nowhere is the bed deep enough for filler under it.',
  'bedTools.filled': '{litres} of filler: so much less soil.',
  'bedTools.comesDown': '{litres} comes down in some weeks',
  'bedTools.ontoPath': ', {litres} of it onto the path',
  'bedTools.creeping': 'Grains creep, {rounds} rounds…',
  'benchStage.pieceAt': '{id} at {left} from the left, {front} from the front',
  'yardFinder.set': 'Set {id} on the bench, from the yard',
  'benchStage.measuring': 'Measuring the bed…',
  'cutLine.at': '{left} from the left, turned by {turn}°',
  'layerValues.outOfRange': 'is {width}, must be {narrow} to {wide}',
  'pieceInspector.carriedUnder': 'glued group of {mass}: carried under {by}',
  'pieceList.mirrored': 'left and right within {share}: mirrored?',
  'pieceList.balance': 'the lighter side has {share} of the heavier',
  'pieceList.tallest': 'the tallest {share} of the height',
  'pieceList.open': '{share} of the floor open',
  'pocketFields.missing': 'is missing, must be a length',
  'settingOut.onPad': 'on the glass, pad {pad}',
  'settingOut.measuring': 'Measuring the bed…',
  'settingOut.measuredFrom': 'all figures from the inner front left corner, to the middle of a piece',
  'settingOut.carriedUnder': 'Glued group of {mass}: carried under {by}, never by what hangs on a joint.',
  'settingOut.lifting':
    'Large stones are lifted by as many as the run sheet says; eye protection where stone is split.',
  'settingOut.sheets':
    '{sheets, plural, one {# sheet} other {# sheets}} of {paper}, {across} across and {deep} deep, A1 in the front left corner. Print without scaling; the line on each sheet is 100 mm long. Lap them by the dashed line and tape.',
  'sheetPlan.depth': 'depth of bed in {unit}',
  'splitPiece.failed': 'It could not be parted.',
  'splitPiece.outOfRange': 'must be from 1 to 99',
  'splitPiece.caution':
    'Stone splinters: goggles and gloves, and a cloth over it. The larger part stays in its place on the bench, the other goes to the yard; {id} stays in the yard’s records with what it weighed.',
  'startsPanel.tooFewPieces': 'The free pieces of the yard do not suffice for a start here.',
  'storyPanel.empty': 'No story noted yet.',
  'viewBar.movePaper': '{percent} %; draw the paper to move it',
  'photoOutline.nothingFound': 'Nothing stands out from the ground: move the slider, or trace by hand.',
  'photoOutline.notPositive': 'must be more than 0',
  'photoOutline.how':
    'The piece on a plain ground, the camera level with its middle and two metres off; a ruler or coin beside it, as far away as its middle.',
  'photoOutline.scale':
    'Without a scale: draw the two rings to the ends of the ruler or across the coin, and type how long that is.',
  'standInForm.what':
    'It stands in for one that is bought unseen and is in the take-off by its mass. When the real one is there, swap it in the values of the piece: it keeps its place.',
  'yardBranches.size': 'From the front: {long} by {high} between its ends',
  'yardBranches.how':
    'Towards: 0° to the right, 90° to the back, 180° to the left, 270° to the front. A branch that bends is two branches, the second from the end of the first.',
  'yardForm.unreadable': 'The file could not be read.',
  'yardForm.outlinesTaken': 'Two outlines are taken; weigh it, and it has the litres of that.',
  'yardForm.skeletonTaken': 'A skeleton of {branches} is taken.',
  'yardForm.photoGoesWithIt': '{photo} goes with it.',
  'yardForm.sizesMissing': 'Its three sizes are missing, or photographs, branches or a scan of it.',
  'yardForm.added': '{numbers} {count, plural, one {is in} other {are in}} the yard. {doubts}',
  'yardForm.fromTo': '{first} to {last}',
  'yardForm.alike': 'must be a whole number from 1 to {most}',
  'yardForm.failed': 'It could not be added.',
  'yardPanel.notTakenOut': '{id} could not be taken out of the yard.',
  'yardPanel.empty': 'The yard is empty.',
  'yardPhotos.front': '{wide} wide, {high} high from the front',
  'yardPhotos.side': '{deep} deep, {high} high from the side',
  'benchStage.pieceFound':
    '{id} at {left} from the left, {front} from the front, {findings, plural, one {# finding} other {# findings}}',
  'underlaySheet.howFront':
    'Draw the four rings onto the corners of the opening, at the face of the front glass; the photograph is squared up by them. What stands up from that plane leans away from the camera: take it from far off.',
  'underlaySheet.howPlan':
    'Draw the four rings onto the corners of the taped footprint; the photograph is squared up by them. What stands up from that plane leans away from the camera: take it from far off.',
  'layerValues.missing': 'missing',
} as const;
