import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Field, Fold, Row, Txt, useOnce } from '@/ui';
import { t } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayProblem } from '@/words/problems.ts';

interface TokenRow {
  id: string;
  houseId: string;
  name: string;
  lastUsedAt: string | null;
}

/** Keys for a phone's shortcut or another device: made here, shown once, withdrawn here. */
export function CaptureTokens() {
  const { house } = useOpenHouse();
  const now = useNow();
  const [tokens, setTokens] = useState<TokenRow[]>([]);
  const [address, setAddress] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [made, setMade] = useState<string | null>(null);
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  const load = () => void ask<{ tokens: TokenRow[] }>('GET', '/me/tokens').then((answer) => answer.ok && setTokens(answer.value.tokens));
  useEffect(load, []);
  useEffect(() => {
    void ask<{ address: string | null }>('GET', `/houses/${house.id}/capture-address`).then((answer) => answer.ok && setAddress(answer.value.address));
  }, [house.id]);
  const here = tokens.filter(({ houseId }) => houseId === house.id);
  const [make, isMaking] = useOnce(async () => {
    const answer = await ask<{ secret: string }>('POST', `/houses/${house.id}/tokens`, { name });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setMade(answer.value.secret);
    setName('');
    load();
  });
  const withdraw = async (id: string) => {
    await ask('DELETE', `/me/tokens/${id}`);
    load();
  };
  return (
    <Fold words={t('tokens.title', { count: here.length })}>
      <View className="gap-3 px-4 pb-4">
        <Txt size={15} tone="muted">
          {t('tokens.means')}
        </Txt>
        <Field label={t('tokens.address')} value={`${window.location.origin}/api/capture`} readOnly selectTextOnFocus />
        {address ? <Field label={t('tokens.mail')} hint={t('tokens.mailHint')} value={address} readOnly selectTextOnFocus /> : null}
        {made ? (
          <>
            <Field label={t('tokens.key')} hint={t('tokens.once')} value={made} readOnly selectTextOnFocus />
          </>
        ) : null}
        <Field
          label={t('tokens.name')}
          placeholder={t('tokens.nameHint')}
          value={name}
          maxLength={80}
          onChangeText={setName}
          error={problem ? sayProblem(problem) : null}
          onSubmitEditing={make}
        />
        <Button onPress={make} disabled={isMaking}>
          {t('tokens.make')}
        </Button>
      </View>
      {here.map((token) => (
        <Row
          key={token.id}
          title={token.name}
          sub={token.lastUsedAt ? t('tokens.used', { when: sayInstant(token.lastUsedAt, now, house.zone) }) : t('tokens.unused')}
          trail={
            <Button kind="quiet" tone="late" label={`${t('tokens.withdraw')}: ${token.name}`} onPress={() => void withdraw(token.id)}>
              {t('tokens.withdraw')}
            </Button>
          }
        />
      ))}
    </Fold>
  );
}
