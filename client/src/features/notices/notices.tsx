import type { Notice } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { nameOf, personOf, useOpenItem } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { isPushWithdrawn } from '@/store/push-permission.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Empty, Heading, IconButton, PersonMark, Row, Sheet, Txt, useSheet } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { NoticeActions } from './notice-actions.tsx';
import { sayTold } from './say-told.ts';
import { useBell } from './use-notices.ts';

/** So many are shown at first, and more each time they are asked for. */
const AT_FIRST = 60;
/** So many are read in one command. */
const AT_ONCE = 500;

/** The bell, with how many are unread; its sheet keeps what was told until it is read. */
export function NoticesButton() {
  const [open, setOpen] = useSheet('notices');
  const unread = useBell().filter((notice) => !notice.readAt);
  return (
    <>
      <IconButton icon="bell" label={t('notices.button', { count: unread.length })} badge={unread.length} onPress={() => setOpen(true)} />
      {open ? <NoticesSheet onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function NoticesSheet({ onClose }: { onClose: () => void }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
  const openItem = useOpenItem();
  const router = useRouter();
  const [most, setMost] = useState(AT_FIRST);
  const all = useBell();
  const notices = all.slice(0, most);
  const unread = all.filter((notice) => !notice.readAt).map((notice) => notice.id);
  const readAll = () => {
    for (let from = 0; from < unread.length; from += AT_ONCE) submit('notice.read', { notices: unread.slice(from, from + AT_ONCE) });
  };
  const isGone = ({ itemId, kind }: Notice): boolean => {
    if (!itemId || kind === 'taken-back') return false;
    const item = rows.find('item', itemId);
    return item === undefined || item.removedAt !== null;
  };
  const read = (notice: Notice) => {
    if (!notice.readAt) submit('notice.read', { notices: [notice.id] }, { ownRefusal: true });
    onClose();
    if (notice.itemId) openItem(notice.itemId);
    if (typeof notice.params.list === 'string') router.push(`/lists/${notice.params.list}`);
    else if (typeof notice.params.project === 'string') router.push(`/projects/${notice.params.project}`);
    if (notice.kind === 'round') router.push('/round');
    if (notice.kind === 'mail-held') router.push('/sort');
  };
  return (
    <Sheet open onClose={onClose} title={t('notices.title')} closeLabel={t('common.close')} head={<Heading level={2}>{t('notices.title')}</Heading>}>
      {unread.length > 0 ? (
        <View className="items-start">
          <Button kind="quiet" onPress={readAll}>
            {t('notices.readAll')}
          </Button>
        </View>
      ) : null}
      {isPushWithdrawn() ? (
        <Txt role="status" size={15} tone="waits" className="pb-2">
          {t('notify.withdrawn')}
        </Txt>
      ) : null}
      {notices.length === 0 ? <Empty words={t('notices.none')} /> : null}
      <View className="-mx-5">
        {notices.map((notice) => {
          // what one's own coming and going brought up is from nobody
          const by = notice.byId === notice.personId ? null : personOf(rows, notice.byId);
          return (
            <View key={notice.id}>
              <Row
                lead={by ? <PersonMark looks={by} size={30} /> : undefined}
                title={sayTold(notice, nameOf(rows, notice.byId))}
                sub={[
                  sayInstant(notice.at, now, house.zone),
                  notice.params.late === true ? t('notice.late') : null,
                  isGone(notice) ? t('notices.gone') : null,
                  typeof notice.params.message === 'string' ? notice.params.message : notice.params.text,
                ]
                  .filter(Boolean)
                  .join(' · ')}
                done={false}
                right={notice.readAt ? undefined : t('notices.new')}
                rightTone="waits"
                onPress={() => read(notice)}
              />
              {notice.readAt ? null : <NoticeActions notice={notice} />}
            </View>
          );
        })}
      </View>
      {all.length > most ? (
        <View className="items-start">
          <Button kind="quiet" onPress={() => setMost(most + AT_FIRST)}>
            {t('notices.older', { count: all.length - most })}
          </Button>
        </View>
      ) : null}
    </Sheet>
  );
}
