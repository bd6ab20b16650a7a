export const EN = {
  change: 'change',
  noAnswerFromTheApplication: 'No answer from the application.',
  notPaired: 'This device is not paired with the computer.',
  theApplicationAnsweredStatus: 'The application answered {status}.',
  theApplicationDoesNotAnswer: 'The application does not answer. Is it running?',
  thisFilmWasDeletedIn: 'This film was deleted in another tab.',
} as const;
