import { ACCENTS, PATTERNS, type Accent, type Pattern } from '@kotiva/core';
import { createElement, useRef, useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { usePreferences } from '@/store/preferences.ts';
import { keepOwnPicture, useOwnPicture } from '@/store/own-picture.ts';
import { Button, Choice, GroupHead, ink, Labelled, personInk, setOnlyList, Swatches, Switch, Txt, useOnlyList } from '@/ui';
import { t } from '@/words';
import { shrinkPicture } from './shrink-picture.ts';

/** One's own accent and background: the same on every device one has, but for a picture. */
export function OwnLooks() {
  const submit = useSubmit();
  const { accent, backdrop } = usePreferences();
  const isFolded = useOnlyList();
  return (
    <View>
      <GroupHead title={t('looks.title')} sub={t('looks.means')} />
      <View className="gap-4 px-4 pb-2">
        <Labelled words={t('looks.accent')}>
          <Swatches<Accent | 'usual'>
            label={t('looks.accent')}
            value={accent ?? 'usual'}
            options={[{ value: 'usual' as const, words: t('looks.usual') }, ...ACCENTS.map((value) => ({ value, words: t(`colour.${value}`) }))]}
            inkOf={(value) => (value === 'usual' ? 'var(--usual-pine)' : personInk(value))}
            onChange={(value) => submit('preferences.set', { accent: value === 'usual' ? null : value })}
          />
        </Labelled>
        <Labelled words={t('looks.backdrop')}>
          <Choice<Pattern | 'none'>
            label={t('looks.backdrop')}
            value={backdrop ?? 'none'}
            options={[{ value: 'none' as const, words: t('looks.none') }, ...PATTERNS.map((value) => ({ value, words: t(`pattern.${value}`) }))]}
            onChange={(value) => submit('preferences.set', { backdrop: value === 'none' ? null : value })}
          />
        </Labelled>
        <OwnPicture />
        <Switch words={t('arrange.onlyList')} on={isFolded} onChange={setOnlyList} />
      </View>
    </View>
  );
}

function OwnPicture() {
  const picture = useOwnPicture();
  const chosen = useRef<HTMLInputElement>(null);
  const [isWrong, setWrong] = useState(false);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const small = await shrinkPicture(file);
    setWrong(small === null || !keepOwnPicture(small));
  };
  return (
    <Labelled words={t('looks.picture')}>
      {createElement('input', {
        ref: chosen,
        type: 'file',
        hidden: true,
        accept: 'image/*',
        'aria-label': t('looks.picture'),
        onChange: ({ target }: React.ChangeEvent<HTMLInputElement>) => {
          void take(target.files?.[0]);
          // the same one can be chosen again
          target.value = '';
        },
      })}
      <View className="flex-row flex-wrap items-center gap-2">
        {picture === null ? null : (
          <View
            className="h-11 w-16 rounded-control border border-line"
            style={{ backgroundImage: `url("${picture}")`, backgroundSize: 'cover', backgroundColor: ink('sunk') } as object}
          />
        )}
        <Button onPress={() => chosen.current?.click()}>{t(picture === null ? 'looks.choose' : 'looks.chooseOther')}</Button>
        {picture === null ? null : (
          <Button kind="quiet" onPress={() => keepOwnPicture(null)}>
            {t('looks.removePicture')}
          </Button>
        )}
      </View>
      <Txt role={isWrong ? 'alert' : undefined} size={15} tone={isWrong ? 'late' : 'muted'}>
        {t(isWrong ? 'looks.unreadable' : 'looks.pictureMeans')}
      </Txt>
    </Labelled>
  );
}
