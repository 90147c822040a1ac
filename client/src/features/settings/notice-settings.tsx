import { noticeChoicesId, TOPICS, USUAL_CHOICES, type Channel, type Topic } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ask } from '@/store/api.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Address, Button, Fold, GroupHead, Labelled, MomentInput, Switch, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { sayProblem } from '@/words/problems.ts';
import { useDevicePush } from './device-push.ts';

/** What one is told of and how; what is told nowhere stands in the history all the same. */
export function NoticeSettings() {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const push = useDevicePush();
  const held = rows.find('noticeChoices', noticeChoicesId(me.id));
  const choices = held === undefined ? { ...USUAL_CHOICES } : held;
  const choose = (channel: Channel | 'bell', topics: string[]) => void submit('notice.choose', { [channel]: topics as Topic[] }, { words: t('said.saved') });
  const options = TOPICS.map((topic) => ({ value: topic, words: t(`topic.${topic}`) }));
  return (
    <View>
      <GroupHead title={t('notify.title')} />
      <View className="gap-4 px-4 pb-2">
        <Txt size={15} tone="muted">
          {t('notify.means')}
        </Txt>
        <ThisDevice push={push} />
      </View>
      <Fold words={t('notify.what')}>
        <View className="gap-4 px-4 pb-4">
          <Labelled words={t('notify.bell')}>
            <Toggles label={t('notify.bell')} on={choices.bell ?? TOPICS} options={options} onChange={(topics) => choose('bell', topics)} />
          </Labelled>
          <Labelled words={t('notify.push')}>
            <Toggles label={t('notify.push')} on={choices.push} options={options} onChange={(topics) => choose('push', topics)} />
          </Labelled>
          <Labelled words={t('notify.mail')}>
            <Toggles label={t('notify.mail')} on={choices.mail} options={options} onChange={(topics) => choose('mail', topics)} />
          </Labelled>
          {push.state && !push.state.mail ? (
            <Txt size={15} tone="muted">
              {t('notify.noMail')}
            </Txt>
          ) : (
            <TryOut channel="mail" />
          )}
        </View>
      </Fold>
      <Fold words={t('lastCall.title')}>
        <LastCall at={choices.lastCall} />
      </Fold>
    </View>
  );
}

function ThisDevice({ push: { state, hindrance, problem, switchOn, switchOff } }: { push: ReturnType<typeof useDevicePush> }) {
  if (!state) return null;
  const said = hindrance ? t(`notify.${hindrance}`) : problem ? sayProblem(problem) : null;
  return (
    <View className="gap-2">
      <Switch words={t('notify.here')} on={state.on} onChange={(on) => void (on ? switchOn() : switchOff())} />
      {said ? (
        <Txt role="alert" size={15} tone="waits">
          {said}
        </Txt>
      ) : null}
      {state.on ? <TryOut channel="push" /> : null}
      {state.simulated ? <Address url={`${window.location.origin}/simulate`} words={t('notify.standIns')} /> : null}
    </View>
  );
}

/** Sends a test and says what came of it. */
function TryOut({ channel }: { channel: Channel }) {
  const [said, setSaid] = useState<{ words: string; good: boolean } | null>(null);
  const send = async () => {
    const answer = await ask('POST', '/me/notices/test', { channel });
    setSaid(answer.ok ? { words: t('notify.tested'), good: true } : { words: sayProblem(answer.problem), good: false });
  };
  return (
    <View className="flex-row flex-wrap items-center gap-3">
      <Button onPress={() => void send()}>{t(`notify.try.${channel}`)}</Button>
      {said ? (
        <Txt role="status" size={15} tone={said.good ? 'pine' : 'late'} className="shrink">
          {said.words}
        </Txt>
      ) : null}
    </View>
  );
}

/** The hour at which what is still open today is said. */
function LastCall({ at }: { at: string | null }) {
  const submit = useSubmit();
  const [hour, setHour] = useState(at ?? '19:00');
  const set = (lastCall: string | null) =>
    void submit('notice.choose', { lastCall }, { words: lastCall ? t('said.lastCall', { hour: lastCall }) : t('said.noLastCall') });
  return (
    <View className="gap-3 px-4 pb-4">
      <Txt size={15} tone="muted">
        {at ? t('lastCall.at', { hour: at }) : t('lastCall.means')}
      </Txt>
      <View className="max-w-[180px]">
        <MomentInput label={t('lastCall.hour')} kind="time" value={hour} onChange={setHour} />
      </View>
      <View className="flex-row gap-2">
        <Button disabled={!hour} onPress={() => set(hour)}>
          {t('lastCall.set')}
        </Button>
        {at ? (
          <Button kind="quiet" onPress={() => set(null)}>
            {t('lastCall.none')}
          </Button>
        ) : null}
      </View>
    </View>
  );
}
