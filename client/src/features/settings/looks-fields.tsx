import { COLOURS, PATTERNS } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { PersonMark, Txt, type Looks } from '@/ui';
import { t } from '@/words';

/** Colour and weave of a person's patch, shown as it will look. */
export function LooksFields({ looks, onChange }: { looks: Looks; onChange: (looks: Looks) => void }) {
  const patch = (key: string, shown: Looks, chosen: boolean, label: string) => (
    <Pressable
      key={key}
      role="radio"
      aria-checked={chosen}
      aria-label={label}
      onPress={() => onChange(shown)}
      className={`h-11 w-11 items-center justify-center rounded-control border-2 ${chosen ? 'border-ink' : 'border-transparent'}`}
    >
      <PersonMark looks={shown} size={32} />
    </Pressable>
  );
  return (
    <View className="gap-2">
      <Txt size={15} face="medium" tone="muted">
        {t('person.colour')}
      </Txt>
      <View role="radiogroup" aria-label={t('person.colour')} className="flex-row flex-wrap gap-1">
        {COLOURS.map((colour) => patch(colour, { ...looks, colour }, colour === looks.colour, t(`colour.${colour}`)))}
      </View>
      <Txt size={15} face="medium" tone="muted">
        {t('person.pattern')}
      </Txt>
      <View role="radiogroup" aria-label={t('person.pattern')} className="flex-row flex-wrap gap-1">
        {PATTERNS.map((pattern) => patch(pattern, { ...looks, pattern }, pattern === looks.pattern, t(`pattern.${pattern}`)))}
      </View>
    </View>
  );
}
