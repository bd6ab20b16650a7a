export const EN = {
  change: 'change',
  noAnswerFromTheApplication: 'No answer from the application.',
  notPaired: 'This device is not paired with the computer.',
  theApplicationAnsweredStatus: 'The application answered {status}.',
  theApplicationDoesNotAnswer: 'The application does not answer. Is it running?',
  thisFilmWasDeletedIn: 'This film was deleted in another tab.',
  theApplicationIsNewer:
    'The computer runs a newer version of Dusk Slate than this page. What you change is kept here; load the new version to send it.',
  theApplicationIsOlder:
    'This device has a newer version of Dusk Slate than the computer. What you change is kept here; update the computer to send it.',
} as const;
