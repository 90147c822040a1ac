import { COLOURS, LIST_ICONS, type Colour, type ListIcon } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { Icon, Labelled, personInk, Swatches } from '@/ui';
import { t } from '@/words';

interface ColourAndIconProps {
  colour: Colour;
  icon: ListIcon;
  onColour: (colour: Colour) => void;
  onIcon: (icon: ListIcon) => void;
}

/** What a list or a bundle is told apart by. */
export function ColourAndIcon({ colour, icon, onColour, onIcon }: ColourAndIconProps) {
  return (
    <>
      <Labelled words={t('list.colour')}>
        <Swatches
          inkOf={personInk}
          label={t('list.colour')}
          value={colour}
          options={COLOURS.map((one) => ({ value: one, words: t(`colour.${one}`) }))}
          onChange={onColour}
        />
      </Labelled>
      <Labelled words={t('list.icon')}>
        <View role="radiogroup" aria-label={t('list.icon')} className="flex-row flex-wrap gap-1">
          {LIST_ICONS.map((one) => (
            <Pressable
              key={one}
              role="radio"
              aria-checked={one === icon}
              aria-label={t(`icon.${one}`)}
              onPress={() => onIcon(one)}
              className={`h-11 w-11 items-center justify-center rounded-control border-2 ${one === icon ? 'border-ink' : 'border-transparent'}`}
            >
              <Icon name={one} size={22} colour={colour} />
            </Pressable>
          ))}
        </View>
      </Labelled>
    </>
  );
}
