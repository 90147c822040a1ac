/** The bar over notes that are being written. */
export const notesEditorWords = {
  'editor.bar': 'Formatting',
  'editor.heading': 'Heading',
  'editor.bold': 'Bold',
  'editor.italic': 'Italic',
  'editor.strike': 'Strikethrough',
  'editor.bullets': 'List',
  'editor.numbers': 'Numbered list',
  'editor.boxes': 'Checkboxes',
  'editor.further': 'Indent',
  'editor.less': 'Outdent',
  'editor.quote': 'Quote',
  'editor.link': 'Link',
  'editor.address': 'Web address',
  'editor.setLink': 'Add link',
  'editor.noLink': 'Remove link',
} as const;
