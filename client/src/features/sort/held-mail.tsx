import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { toastShown, useNow, useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, GroupHead, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayProblem } from '@/words/problems.ts';

interface Held {
  id: string;
  sender: string;
  title: string;
  notes: string;
  at: string;
  files: { name: string; size: number }[];
  /** How many files were not kept. */
  filesLeft: number;
}

/** Mail to one's own address that nobody vouches for: added or thrown away from here. Nothing where none waits. */
export function HeldMail() {
  const { house } = useOpenHouse();
  const now = useNow();
  const dispatch = useDispatch();
  const [held, setHeld] = useState<Held[]>([]);
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  useEffect(() => {
    void ask<{ held: Held[] }>('GET', `/houses/${house.id}/held-mail`).then((answer) => {
      if (answer.ok && answer.value.held.length > 0) setHeld(answer.value.held);
    });
  }, [house.id]);
  const settle = async ({ id, title }: Held, take: boolean) => {
    const answer = await ask('POST', `/houses/${house.id}/held-mail/${id}`, { take });
    setProblem(answer.ok || answer.problem.code === 'gone' ? null : answer.problem);
    if (!answer.ok && answer.problem.code !== 'gone') return;
    setHeld((all) => all.filter((one) => one.id !== id));
    dispatch(toastShown({ words: t(take ? 'mail.added' : 'mail.discarded', { title }), offer: null, tone: 'plain' }));
  };
  if (held.length === 0) return null;
  return (
    <View>
      <GroupHead title={t('mail.waiting')} count={held.length} />
      <Txt size={15} tone="muted" className="px-4">
        {t('mail.why')}
      </Txt>
      {problem ? <ErrorLine says={sayProblem(problem)} className="px-4 pt-2" /> : null}
      {held.map((mail) => (
        <View key={mail.id} className="gap-2 border-b border-line px-4 py-3">
          <View>
            <Txt face="medium">{mail.title}</Txt>
            <Txt size={13} tone="muted">
              {t('mail.from', { sender: mail.sender, when: sayInstant(mail.at, now, house.zone) })}
            </Txt>
          </View>
          {mail.notes ? (
            <Txt size={15} numberOfLines={3}>
              {mail.notes}
            </Txt>
          ) : null}
          <WithIt mail={mail} />
          <View className="flex-row gap-2">
            <Button label={t('mail.addNamed', { title: mail.title })} onPress={() => void settle(mail, true)}>
              {t('mail.add')}
            </Button>
            <Button kind="quiet" tone="muted" label={t('mail.discardNamed', { title: mail.title })} onPress={() => void settle(mail, false)}>
              {t('mail.discard')}
            </Button>
          </View>
        </View>
      ))}
    </View>
  );
}

/** The files that come with it, and those that stay in the mail. */
function WithIt({ mail: { files = [], filesLeft = 0 } }: { mail: Held }) {
  const said = [
    files.length > 0 ? t('mail.withFiles', { names: together(files.map(({ name }) => name)) }) : null,
    filesLeft > 0 ? t('mail.filesLeft', { count: filesLeft }) : null,
  ].filter(Boolean);
  return said.length > 0 ? <Txt size={15}>{said.join(' ')}</Txt> : null;
}
