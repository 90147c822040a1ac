import { progressOfList, type List } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useOpenHouse } from '@/store/store.ts';
import { Icon, Row } from '@/ui';
import { t } from '@/words';
import { sayMeasure } from '@/words/amounts.ts';

interface Props {
  list: List;
  /** Instead of whom it is for. */
  sub?: string;
  trail?: React.ReactNode;
}

/** A list one can open, with how far it has come. */
export function ListRow({ list, sub, trail }: Props) {
  const { rows } = useOpenHouse();
  const router = useRouter();
  const progress = progressOfList(list, rows);
  const shared = rows.by('share', 'listId', list.id).some((share) => share.access !== null);
  return (
    <Row
      lead={<Icon name={list.icon} size={22} colour={list.colour} />}
      title={list.name}
      sub={sub ?? ([list.purpose, shared ? null : t('lists.onlyYou')].filter(Boolean).join(' · ') || undefined)}
      right={progress.of > 0 ? sayMeasure(progress) : undefined}
      rightTone="muted"
      trail={trail}
      onPress={() => router.push(`/lists/${list.id}`)}
    />
  );
}
