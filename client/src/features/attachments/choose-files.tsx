import { createElement, useRef } from 'react';
import { View } from 'react-native';
import { Button, useWide } from '@/ui';
import { t } from '@/words';

interface ChooseFilesProps {
  onFiles: (files: File[]) => void;
  onLink?: () => void;
  onDraw?: () => void;
  /** Pictures alone. */
  onlyPictures?: boolean;
}

/** Ways to a file: the camera where there is one, what is on the device, an address. */
export function ChooseFiles({ onFiles, onLink, onDraw, onlyPictures = false }: ChooseFilesProps) {
  const camera = useRef<HTMLInputElement>(null);
  const chosen = useRef<HTMLInputElement>(null);
  const wide = useWide();
  const input = (ref: React.RefObject<HTMLInputElement | null>, more: object, label: string) =>
    createElement('input', {
      ref,
      type: 'file',
      hidden: true,
      'aria-label': label,
      onChange: ({ target }: React.ChangeEvent<HTMLInputElement>) => {
        onFiles([...(target.files ?? [])]);
        // the same one can be chosen again
        target.value = '';
      },
      ...more,
    });
  const pictures = 'image/jpeg,image/png,image/webp,image/gif,image/avif';
  return (
    <View className="flex-row flex-wrap items-center gap-x-2">
      {input(camera, { accept: 'image/jpeg', capture: 'environment' }, t('files.takePhoto'))}
      {input(chosen, { multiple: !onlyPictures, ...(onlyPictures ? { accept: pictures } : {}) }, t('files.choose'))}
      {wide ? null : (
        <Button kind="quiet" icon="camera" onPress={() => camera.current?.click()}>
          {t('files.takePhoto')}
        </Button>
      )}
      <Button kind="quiet" icon="paperclip" onPress={() => chosen.current?.click()}>
        {t(wide ? 'files.add' : 'files.choose')}
      </Button>
      {onDraw ? (
        <Button kind="quiet" onPress={onDraw}>
          {t('files.draw')}
        </Button>
      ) : null}
      {onLink ? (
        <Button kind="quiet" onPress={onLink}>
          {t('files.addLink')}
        </Button>
      ) : null}
    </View>
  );
}
