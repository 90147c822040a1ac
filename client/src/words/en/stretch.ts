/** Focused work, minutes chosen. */
export const stretchWords = {
  'stretch.means': 'The time counts down on all your devices, and you hear when it’s over. Nobody else sees it.',
  'stretch.minutes': 'How long',
  'stretch.other': 'Other number of minutes (optional)',
  'stretch.notOne': 'Use a whole number of minutes, from {least} to {most}.',
  'stretch.start': 'Start',
  'stretch.left_one': 'Focus: {count} min left, until {until}',
  'stretch.left_other': 'Focus: {count} min left, until {until}',
  'stretch.stop': 'Stop',
  'stretch.ended': 'Stopped. It’s kept under Looking back.',
  'stretch.again': 'Another {minutes} min',
  'stretch.earlier': 'Earlier focus times',
  'stretch.yours': 'Your focus times',
  'stretch.private': 'Only you see these',
  'stretch.when': '{day}, {from}–{to}',
  'stretch.none': 'Nothing checked off',
  'stretch.unseen': 'something no longer shared with you',
} as const;
