import { useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';
import { ask } from '@/store/api.ts';
import { Heading, Txt } from '@/ui/text.tsx';
import { Page } from '@/ui/page.tsx';
import { t, together } from '@/words';
import { AccountForm } from './account-form.tsx';
import { isKnownHere, useSession } from './session.tsx';

interface DemoPerson {
  id: string;
  name: string;
  houses: { name: string; role: string }[];
}

export function SignInScreen({ signedOut }: { signedOut: boolean }) {
  const { refresh } = useSession();
  const demo = useDemoPeople();
  // whoever was never here is new; in the demo one looks around as somebody
  const [startsNew] = useState(() => !signedOut && !isKnownHere());
  return (
    <Page>
      <View className="gap-1">
        <Heading level={1} tone="pine">
          Kotiva
        </Heading>
        <Txt tone="muted">{t('account.promise')}</Txt>
      </View>
      {signedOut ? <Txt tone="waits">{t('account.signedOutHere')}</Txt> : null}
      {demo.length > 0 ? <DemoPeople people={demo} /> : null}
      <AccountForm startsNew={startsNew} onDone={refresh} />
    </Page>
  );
}

/** Present only where the server runs in demo mode. */
function useDemoPeople(): DemoPerson[] {
  const [people, setPeople] = useState<DemoPerson[]>([]);
  useEffect(() => {
    void ask<{ people: DemoPerson[] }>('GET', '/demo/people').then((answer) => setPeople(answer.ok ? answer.value.people : []));
  }, []);
  return people;
}

function DemoPeople({ people }: { people: readonly DemoPerson[] }) {
  const { refresh } = useSession();
  const enter = async (account: string) => {
    const answer = await ask('POST', '/demo/session', { account });
    if (answer.ok) await refresh();
  };
  return (
    <View className="gap-1">
      <Heading level={3}>{t('account.demo')}</Heading>
      <View className="flex-row flex-wrap gap-2">
        {people.map(({ id, name, houses }) => (
          <Pressable
            key={id}
            role="button"
            onPress={() => void enter(id)}
            className="min-h-12 grow basis-[150px] justify-center rounded-control bg-sunk px-3 py-2"
          >
            <Txt face="medium">{name}</Txt>
            <Txt size={13} tone="muted" numberOfLines={1}>
              {together(houses.map((house) => house.name))}
            </Txt>
          </Pressable>
        ))}
      </View>
    </View>
  );
}
