import type { Colour, Pattern } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import { ask, enterHouse, type ProblemDetails } from '@/store/api.ts';
import { momentNow } from '@/store/live-house.tsx';
import { Button } from '@/ui/button.tsx';
import { Field } from '@/ui/field.tsx';
import { useOnce } from '@/ui/once.ts';
import { Page } from '@/ui/page.tsx';
import { PersonMark } from '@/ui/person-mark.tsx';
import { Heading, Txt } from '@/ui/text.tsx';
import { t, type WordKey } from '@/words';
import { sayProblem } from '@/words/problems.ts';
import { AccountForm } from './account-form.tsx';
import { useSession } from './session.tsx';
import { suggestLooks, type LooksOf } from './suggest-looks.ts';
import { sayReasonOutside } from './say-outside.ts';

interface Invited {
  houseId: string;
  house: string;
  by: string;
  role: string;
  /** The only list it opens: there they begin. */
  opens: string | null;
  closed: string | null;
  taken: { mark: string; colour: Colour; pattern: Pattern }[];
}

/** Where an invitation link leads: says who invites to what, then asks for an account, then for a short mark. */
export function JoinScreen({ token }: { token: string }) {
  const { standing, refresh } = useSession();
  const [invited, setInvited] = useState<Invited | null>(null);
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  useEffect(() => {
    void ask<Invited>('GET', `/invitations/${encodeURIComponent(token)}`).then((answer) => (answer.ok ? setInvited(answer.value) : setProblem(answer.problem)));
  }, [token]);

  if (problem) return <Closed words={sayProblem(problem)} />;
  if (!invited || standing.state === 'asking') return <Page>{<Txt tone="muted">{t('common.onItsWay')}</Txt>}</Page>;
  if (invited.closed) return <Closed words={t(`reason.invitation-${invited.closed}` as WordKey)} />;
  return (
    <Page>
      <Heading level={1}>{t('join.title', { house: invited.house })}</Heading>
      <Txt>{t('join.by', { by: invited.by, role: t(`role.${invited.role}` as WordKey) })}</Txt>
      {standing.state === 'in' ? (
        <JoinForm token={token} invited={invited} name={standing.me.account.name} />
      ) : (
        <AccountForm startsNew invitation={token} onDone={refresh} />
      )}
    </Page>
  );
}

function Closed({ words }: { words: string }) {
  const router = useRouter();
  return (
    <Page>
      <Heading level={1}>{t('join.closed')}</Heading>
      <Txt role="alert">{words}</Txt>
      <Button onPress={() => router.replace('/')}>{t('join.home')}</Button>
    </Page>
  );
}

function JoinForm({ token, invited, name }: { token: string; invited: Invited; name: string }) {
  const router = useRouter();
  const { refresh, choose } = useSession();
  const [looks, setLooks] = useState<LooksOf>(() => suggestLooks(name, invited.taken));
  const [error, setError] = useState<string | null>(null);
  const [join, isJoining] = useOnce(async () => {
    const answer = await enterHouse({ id: v7(), houseId: invited.houseId, name: 'person.join', payload: { token, name, ...looks }, at: momentNow() });
    if (!answer.ok) return setError(sayProblem(answer.problem));
    if (answer.value.outcome === 'refused' && answer.value.reason.code !== 'already-member') return setError(await sayReasonOutside(answer.value.reason));
    choose(invited.houseId);
    await refresh();
    router.replace(invited.opens ? `/lists/${invited.opens}` : '/');
  });
  return (
    <>
      <Txt tone="muted">{t('join.mark', { name })}</Txt>
      <PersonMark looks={looks} size={56} label={t('join.yourMark')} />
      <Field
        label={t('person.mark')}
        hint={t('person.markHint')}
        value={looks.mark}
        maxLength={8}
        onChangeText={(mark) => setLooks({ ...looks, mark })}
        error={error}
      />
      <Button kind="main" onPress={join} disabled={isJoining}>
        {t('join.join')}
      </Button>
    </>
  );
}
