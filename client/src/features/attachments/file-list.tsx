import { isAddress, isPicture, type Attachment } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { t } from '@/words';
import { Viewer } from './fetched.ts';
import { FileRow } from './file-row.tsx';
import type { FileHost } from './host.ts';
import { PictureTile } from './picture-tile.tsx';

interface FileListProps {
  files: readonly Attachment[];
  host: FileHost;
  /** Draws on one of its pictures; null: nothing may be added here. */
  onDraw: ((on: Attachment) => void) | null;
}

/** Pictures side by side, each seen large by a tap; everything else in rows. */
export function FileList({ files, host, onDraw }: FileListProps) {
  const [shown, setShown] = useState<string | null>(null);
  const pictures = files.filter(isShownPicture);
  return (
    <>
      {pictures.length > 0 ? (
        <View role="list" aria-label={t('files.pictures')} className="flex-row flex-wrap gap-2">
          {pictures.map((picture) => (
            <PictureTile key={picture.id} picture={picture} onOpen={() => setShown(picture.id)} />
          ))}
        </View>
      ) : null}
      {files
        .filter((one) => !isShownPicture(one))
        .map((one) => (
          <FileRow key={one.id} attachment={one} host={host} />
        ))}
      {shown ? (
        <Viewer
          host={host}
          pictures={pictures}
          at={shown}
          onShow={setShown}
          onClose={() => setShown(null)}
          onDraw={onDraw && ((on) => (setShown(null), onDraw(on)))}
        />
      ) : null}
    </>
  );
}

const isShownPicture = (one: Attachment): boolean => !isAddress(one) && one.arrivedAt !== null && isPicture(one);
