import { calendarDateOf } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { SlotForm } from '@/features/slot';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button } from '@/ui';
import { t } from '@/words';
import { ALL_DECISIONS, needsMore, useDecide, type Decision } from './decide.ts';
import { DuePanel } from './due-panel.tsx';
import { ToPerson } from './to-person.tsx';
import { PlaceList } from './where-panel.tsx';

interface DecisionsProps {
  items: readonly string[];
  /** Those that make sense here. */
  only?: readonly Decision[];
  onDone?: () => void;
  /** Opened by a key. */
  open?: Decision | null;
  onOpen?: (decision: Decision | null) => void;
}

/** The few next decisions about one or several items, each one tap or two. */
export function Decisions({ items, only = ALL_DECISIONS, onDone, open, onOpen }: DecisionsProps) {
  const [own, setOwn] = useState<Decision | null>(null);
  const shown = open === undefined ? own : open;
  const setShown = onOpen ?? setOwn;
  const { house } = useOpenHouse();
  const now = useNow();
  const decide = useDecide(items, () => {
    setShown(null);
    onDone?.();
  });
  return (
    <View className="gap-2">
      <View role="group" aria-label={t('decide.label', { count: items.length })} className="flex-row flex-wrap gap-2">
        {only.map((decision) => (
          <Button
            key={decision}
            tone={decision === 'remove' ? 'late' : undefined}
            onPress={() => (needsMore(decision) ? setShown(shown === decision ? null : decision) : decide[decision]())}
          >
            {t(`decide.${decision}`)}
          </Button>
        ))}
      </View>
      {shown === 'day' ? (
        <DuePanel of={`plan/${items[0] ?? ''}`} due={null} verb={t('plan.set')} onSave={(day) => day && decide.onDay(day)} onClose={() => setShown(null)} />
      ) : null}
      {shown === 'start' ? (
        <DuePanel of={`start/${items[0] ?? ''}`} due={null} onSave={(day) => day && decide.notBefore(day)} onClose={() => setShown(null)} />
      ) : null}
      {shown === 'time' ? (
        <View className="my-2 rounded-sheet bg-ground p-4">
          <SlotForm
            slot={null}
            itemIds={items}
            date={calendarDateOf(now, house.zone)}
            onDone={() => {
              setShown(null);
              onDone?.();
            }}
          />
        </View>
      ) : null}
      {shown === 'list' ? <PlaceList here={null} onChoose={decide.intoList} onClose={() => setShown(null)} /> : null}
      {shown === 'copy' ? <PlaceList here={null} onChoose={decide.copyInto} onClose={() => setShown(null)} /> : null}
      {shown === 'person' ? <ToPerson items={items} onHand={decide.toPersons} onClose={() => setShown(null)} /> : null}
    </View>
  );
}
