import type { Attachment } from '@kotiva/core';
import { Pressable, View } from 'react-native';
import { nameOf } from '@/words/people.ts';
import { useOpenHouse } from '@/store/store.ts';
import { Picture } from '@/ui/picture.tsx';
import { t } from '@/words';
import { addressOf } from '@/features/files';

/** One picture among others: small, tapped to be seen large. */
export function PictureTile({ picture, onOpen }: { picture: Attachment; onOpen: () => void }) {
  const { rows } = useOpenHouse();
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={t('files.picture', { name: picture.name, by: nameOf(rows, picture.authorId) })}
        onPress={onOpen}
        className="h-24 w-24 overflow-hidden rounded-control bg-sunk"
      >
        <Picture src={addressOf(picture, 'small')} alt="" fit="fill" />
      </Pressable>
    </View>
  );
}
