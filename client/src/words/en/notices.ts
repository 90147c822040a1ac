/** What one is told. */
export const noticesWords = {
  'notices.button_one': 'Notifications, {count} new',
  'notices.button_other': 'Notifications, {count} new',
  'notices.title': 'Notifications',
  'notices.new': 'new',
  'notices.none': 'When others do something with your items, you’ll see it here.',
  'notices.answer': 'Reply',
  'notices.gone': 'has been removed',
  'notify.title': 'Notifications',
  'notify.means':
    'Notifications wait under the bell until you’ve read them. They can also come to this device and by email. Anything you turn off is still in What happened.',
  'notify.withdrawn': 'This browser no longer allows notifications from Kotiva. Allow them in its settings for this page.',
  'notices.readAll': 'Mark all as read',
  'notices.older_one': 'Show {count} older one',
  'notices.older_other': 'Show {count} older ones',
  'notices.remindedAt': 'At {place}: “{title}”',
  'notices.remindedLeaving': 'Leaving {place}: “{title}”',
} as const;
