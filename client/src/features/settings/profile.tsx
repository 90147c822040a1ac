import { useState } from 'react';
import { View } from 'react-native';
import { useMe } from '@/features/account';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Field, Fold, GroupHead, type Looks, PersonMark, Txt, useOnce } from '@/ui';
import { t } from '@/words';
import { sayProblem, sayReason } from '@/words/problems.ts';
import { AwayForm } from './away-form.tsx';
import { RestForm } from './rest-form.tsx';
import { WeekHours } from './week-hours.tsx';
import { KeysToKeep } from './keys-to-keep.tsx';
import { LooksFields } from './looks-fields.tsx';

/** How one appears in this house, and one's password. */
export function Profile() {
  const { me } = useOpenHouse();
  const { account } = useMe();
  return (
    <View>
      <GroupHead title={t('profile.title')} />
      <View className="flex-row items-center gap-3 px-4 pb-1">
        <PersonMark looks={me} size={40} />
        <View>
          <Txt face="medium">{me.name}</Txt>
          <Txt size={15} tone="muted">
            {account.email}
          </Txt>
        </View>
      </View>
      <Fold words={t('profile.change')}>
        <LooksForm />
      </Fold>
      <Fold words={t('capacity.own')}>
        <WeekHours person={me} />
      </Fold>
      <Fold words={t('rest.own')}>
        <RestForm person={me} />
      </Fold>
      <Fold words={t('away.own')}>
        <AwayForm person={me} />
      </Fold>
      <Fold words={t('profile.password')}>
        <PasswordForm />
      </Fold>
    </View>
  );
}

function LooksForm() {
  const { me } = useOpenHouse();
  const submit = useSubmit();
  const [name, setName] = useState(me.name);
  const [looks, setLooks] = useState<Looks>({ mark: me.mark, colour: me.colour, pattern: me.pattern });
  const [error, setError] = useState<{ field?: string; words: string } | null>(null);
  const save = () => {
    const reason = submit('person.change', { person: me.id, name, ...looks }, { words: t('said.saved'), ownRefusal: true });
    setError(reason ? { field: reason.field, words: sayReason(reason) } : null);
  };
  return (
    <View className="gap-4 px-4 pb-4">
      <Field label={t('account.name')} value={name} maxLength={80} onChangeText={setName} error={error?.field === 'name' ? error.words : null} />
      <Field
        label={t('person.mark')}
        hint={t('person.markHint')}
        value={looks.mark}
        maxLength={8}
        onChangeText={(mark) => setLooks({ ...looks, mark })}
        error={error?.field === 'mark' ? error.words : null}
      />
      <LooksFields looks={looks} onChange={setLooks} />
      <Button kind="main" onPress={save}>
        {t('common.save')}
      </Button>
    </View>
  );
}

function PasswordForm() {
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  const [changed, setChanged] = useState(false);
  const [keepKeys, setKeepKeys] = useState<string[]>([]);
  const [save, isSaving] = useOnce(async () => {
    const answer = await ask('POST', '/me/password', { current, password, keepKeys });
    setProblem(answer.ok ? null : answer.problem);
    setChanged(answer.ok);
    if (!answer.ok) return;
    setCurrent('');
    setPassword('');
  });
  const errorAt = (field: string) => (problem?.field === field ? sayProblem(problem) : null);
  return (
    <View className="gap-4 px-4 pb-4">
      <Field
        label={t('profile.current')}
        value={current}
        onChangeText={setCurrent}
        secureTextEntry
        autoComplete="current-password"
        error={errorAt('current')}
      />
      <Field
        label={t('profile.newPassword')}
        hint={t('account.passwordHint')}
        value={password}
        onChangeText={setPassword}
        secureTextEntry
        autoComplete="new-password"
        error={errorAt('password')}
      />
      <KeysToKeep kept={keepKeys} onChange={setKeepKeys} />
      {problem && !problem.field ? <ErrorLine says={sayProblem(problem)} /> : null}
      {changed ? (
        <Txt role="status" tone="pine" size={15}>
          {t('profile.passwordChanged')}
        </Txt>
      ) : null}
      <Button onPress={save} disabled={isSaving}>
        {t('profile.changePassword')}
      </Button>
    </View>
  );
}
