/** The facts of an item without opening it. */
export const glanceWords = {
  'glance.of': '{title} at a glance',
  'glance.added': 'Added',
  'glance.byWhom': '{when} by {name}',
  'glance.touched': 'Last touched',
  'glance.due': 'Deadline',
  'glance.plan': 'My planned day',
  'glance.start': 'Not before',
  'glance.reminders': 'Reminders',
  'glance.none': 'none',
  'glance.waits': 'Waiting for',
  'glance.unassigned': 'Nobody has it.',
} as const;
