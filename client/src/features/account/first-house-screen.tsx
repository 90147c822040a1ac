import { BUSINESS_DAY_PARTS } from '@kotiva/core';
import { useState } from 'react';
import { v7 } from 'uuid';
import { enterHouse, type ProblemDetails } from '@/store/api.ts';
import { momentNow } from '@/store/live-house.tsx';
import { Button } from '@/ui/button.tsx';
import { Choice } from '@/ui/choice.tsx';
import { Field } from '@/ui/field.tsx';
import { useOnce } from '@/ui/once.ts';
import { Page } from '@/ui/page.tsx';
import { Heading, Txt } from '@/ui/text.tsx';
import { t } from '@/words';
import { sayProblem } from '@/words/problems.ts';
import { useMe, useSession } from './session.tsx';
import { suggestLooks } from './suggest-looks.ts';
import { sayReasonOutside } from './say-outside.ts';

/** For who is in no house yet: its name is all that is asked. */
export function FirstHouseScreen({ onCancel }: { onCancel?: () => void }) {
  const { account } = useMe();
  const { refresh, choose, signOut } = useSession();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<'home' | 'business'>('home');
  const [error, setError] = useState<string | null>(null);

  const [make, isMaking] = useOnce(async () => {
    const houseId = v7();
    const payload = {
      name,
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      person: { name: account.name, ...suggestLooks(account.name, []) },
      ...(kind === 'business' ? { dayParts: BUSINESS_DAY_PARTS } : {}),
      hints: { list: t('hints.list'), items: [t(`hints.add.${kind}`), t(`hints.invite.${kind}`), t('hints.handOver'), t('hints.follow')] },
    };
    const answer = await enterHouse({ id: v7(), houseId, name: 'house.make', payload, at: momentNow() });
    if (!answer.ok) return setError(sayProblem(answer.problem as ProblemDetails));
    if (answer.value.outcome === 'refused') return setError(await sayReasonOutside(answer.value.reason));
    choose(houseId);
    await refresh();
    onCancel?.();
  });

  return (
    <Page>
      <Heading level={1}>{t('house.make')}</Heading>
      <Txt tone="muted">{t('house.makeWhy')}</Txt>
      <Choice
        label={t('house.kind')}
        value={kind}
        onChange={setKind}
        options={(['home', 'business'] as const).map((value) => ({ value, words: t(`house.kind.${value}`) }))}
      />
      <Field label={t('house.name')} value={name} onChangeText={setName} error={error} maxLength={80} autoFocus onSubmitEditing={make} />
      <Button kind="main" onPress={make} disabled={isMaking}>
        {t('house.makeIt')}
      </Button>
      <Txt size={15} tone="muted">
        {t('house.orInvited')}
      </Txt>
      {onCancel ? (
        <Button kind="quiet" onPress={onCancel}>
          {t('common.back')}
        </Button>
      ) : (
        <Button kind="quiet" onPress={() => void signOut(false)}>
          {t('account.signOut')}
        </Button>
      )}
    </Page>
  );
}
