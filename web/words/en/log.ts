/** What the log says. */
export const LOG = {
  'logStage.photo': 'Photograph',
  'logStage.anotherPhoto': 'Another photograph',
  'logStage.photoOf': 'Photograph: {what}',
  'logStage.dayMissing': 'is missing, must be the day of the note',
  'logStage.refused': 'is not taken: settle what is marked first',
  'logStage.noWords': 'is empty, must have some words or a reading',
  'logStage.dayAhead': 'is of a day ahead, {day}: press again if that is meant',
  'logStage.decision': 'Decided',
  'logStage.question': 'Open',
  'logStage.tried': 'Tried and left',
  'logStage.until': 'Open until',
  'logStage.answer': 'Answered, and by whom',
  'logStage.what': 'readings, doses, trims, losses, what was said',
  'logStage.empty': 'No note yet. The first visit is a good beginning.',
} as const;
