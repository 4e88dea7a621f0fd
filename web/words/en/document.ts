/** What the document says. */
export const DOCUMENT = {
  'dayField.noDay': 'is no day here, must be one like {example}',
  'figureField.text': 'is "{text}" (text), must be a number',
  'figureField.missing': 'is missing, must be a number',
  'fileLink.failed': 'The file could not be written.',
  'pictureStrip.elsewhere': 'This picture is kept on another machine.',
  'api.answered': 'The server answered {status}.',
  'api.away': 'The server does not answer. What you typed is kept in this browser.',
  'upload.tooLarge': '{name} has {mb} MB, must have at most {most} MB.',
  'upload.empty': '{name} is empty.',
  'upload.noPicture': '{name} is no picture ({type}), must be a JPEG, PNG or the like.',
  'upload.refused': 'The picture was refused.',
  'upload.away': 'The server does not answer. The picture was not kept.',
} as const;
