import { Heading, Sheet } from '@/ui';
import { t } from '@/words';

/** A sheet for one action, named by what it is about. */
export function ActionSheet({ title, onClose, children }: { title: string; onClose: () => void; children: React.ReactNode }) {
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      {children}
    </Sheet>
  );
}
