import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Icon, Txt } from '@/ui';

const KEY = 'kotiva-folded:';
const isFolded = (name: string): boolean => window.localStorage.getItem(KEY + name) === '1';

/** A part of a page under its heading, folded away with a tap; this device remembers which ones one does not need. */
export function PagePart({
  name,
  title,
  count,
  right,
  children,
}: {
  name: string;
  title: string;
  count?: number;
  right?: React.ReactNode;
  children: React.ReactNode;
}) {
  const [folded, setFolded] = useState(() => isFolded(name));
  const toggle = () => {
    window.localStorage.setItem(KEY + name, folded ? '0' : '1');
    setFolded(!folded);
  };
  return (
    <View role="region" aria-label={title} className="mt-2">
      <View className="min-h-12 flex-row items-center gap-2 px-4 pt-3">
        <View role="heading" aria-level={2} className="min-w-0 grow shrink basis-0">
          <Pressable role="button" aria-expanded={!folded} onPress={toggle} className="min-h-11 flex-row items-center gap-2">
            <Icon name={folded ? 'right' : 'down'} tone="muted" />
            <Txt face="head" size={17}>
              {title}
            </Txt>
            {count ? (
              <Txt size={13} tone="muted">
                {count}
              </Txt>
            ) : null}
          </Pressable>
        </View>
        {folded ? null : right}
      </View>
      {folded ? null : children}
    </View>
  );
}
