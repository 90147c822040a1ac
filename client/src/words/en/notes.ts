/** Notes of an item: who changed them, and their lines as steps. */
export const notesWords = {
  'notes.changed': 'Last changed by {name}, {when}',
  'notes.added': 'Added',
  'notes.removed': 'Removed',
  'notes.plain': 'Show Markdown',
  'notes.formatted': 'Show formatting',
  'notes.toSteps': 'Turn into steps',
  'notes.toStepsTitle': 'Which lines become steps?',
  'notes.makeSteps_one': 'Make {count} step',
  'notes.makeSteps_other': 'Make {count} steps',
  'said.madeSteps_one': 'Made {count} step.',
  'said.madeSteps_other': 'Made {count} steps.',
} as const;
