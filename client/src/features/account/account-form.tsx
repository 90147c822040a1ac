import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask, type ProblemDetails } from '@/store/api.ts';
import { Button } from '@/ui/button.tsx';
import { Field } from '@/ui/field.tsx';
import { useOnce } from '@/ui/once.ts';
import { Txt } from '@/ui/text.tsx';
import { t } from '@/words';
import { sayProblem } from '@/words/problems.ts';

/** Who may make an account here; everybody, as long as nothing else was heard. */
function useSignUp(): 'open' | 'invited' | 'closed' {
  const [signUp, setSignUp] = useState<'open' | 'invited' | 'closed'>('open');
  useEffect(() => {
    void ask<{ signUp: typeof signUp }>('GET', '/sign-up').then((answer) => answer.ok && setSignUp(answer.value.signUp));
  }, []);
  return signUp;
}

/** Signing in, or a new account: e-mail, password, name, nothing else. */
export function AccountForm({ startsNew, invitation, onDone }: { startsNew: boolean; invitation?: string; onDone: () => Promise<void> }) {
  const [wantsNew, setNew] = useState(startsNew);
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<ProblemDetails | null>(null);
  const signUp = useSignUp();
  const mayMakeOne = signUp === 'open' || (signUp === 'invited' && invitation !== undefined);
  const isNew = wantsNew && mayMakeOne;
  const errorAt = (field: string) => (problem?.field === field ? sayProblem(problem) : null);

  const [submit, busy] = useOnce(async () => {
    const answer = isNew ? await ask('POST', '/accounts', { email, password, name, invitation }) : await ask('POST', '/session', { email, password });
    if (answer.ok) await onDone();
    else setProblem(answer.problem);
  });

  return (
    <View className="gap-4">
      {isNew ? (
        <Field label={t('account.yourName')} autoFocus value={name} onChangeText={setName} autoComplete="name" error={errorAt('name')} maxLength={80} />
      ) : null}
      <Field
        label={t('account.email')}
        value={email}
        onChangeText={setEmail}
        autoComplete="email"
        inputMode="email"
        autoCapitalize="none"
        error={errorAt('email')}
      />
      <Field
        label={t('account.password')}
        hint={isNew ? t('account.passwordHint') : undefined}
        value={password}
        onChangeText={setPassword}
        secureTextEntry
        autoComplete={isNew ? 'new-password' : 'current-password'}
        error={errorAt('password')}
        onSubmitEditing={submit}
      />
      {problem && !problem.field ? (
        <Txt role="alert" tone="late" size={15}>
          {sayProblem(problem)}
        </Txt>
      ) : null}
      <Button kind="main" onPress={submit} disabled={busy}>
        {isNew ? t('account.make') : t('account.signIn')}
      </Button>
      {isNew || mayMakeOne ? (
        <Button
          kind="quiet"
          onPress={() => {
            setNew(!isNew);
            setProblem(null);
          }}
        >
          {isNew ? t('account.haveOne') : t('account.haveNone')}
        </Button>
      ) : (
        <Txt size={15} tone="muted">
          {t(signUp === 'invited' ? 'account.onlyInvited' : 'account.closed')}
        </Txt>
      )}
    </View>
  );
}
