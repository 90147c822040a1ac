import { t } from './index.ts';

/** What is said of dragging rows, and of dragging between people. */
export const sayDragOfRows = () => ({
  how: t('drag.how'),
  picked: t('drag.picked'),
  over: (name: string) => t('drag.over', { name }),
  put: t('drag.put'),
  left: t('drag.left'),
});
