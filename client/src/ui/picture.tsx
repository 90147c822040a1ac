import { useState } from 'react';
import { View } from 'react-native';
import { Icon } from './icon.tsx';

interface PictureProps {
  src: string;
  /** What it shows, for who can't see it; empty where words beside it say so. */
  alt: string;
  /** `fill`: cut to the box it stands in. `whole`: all of it, as large as fits. */
  fit: 'fill' | 'whole';
  /** Of the picture, in pixels: room is kept for it before it has come. */
  width?: number;
  height?: number;
  onFailed?: () => void;
}

/** A picture that is fetched once it comes into sight. One that can't be fetched is a sign, not a hole. */
export function Picture({ src, alt, fit, width, height, onFailed }: PictureProps) {
  const [failed, setFailed] = useState<string | null>(null);
  if (failed === src)
    return (
      <View role="img" aria-label={alt} className="h-full w-full items-center justify-center bg-sunk">
        <Icon name="camera" />
      </View>
    );
  return (
    <img
      src={src}
      alt={alt}
      width={width}
      height={height}
      loading="lazy"
      decoding="async"
      draggable={false}
      className={fit === 'fill' ? 'picture-fill' : 'picture-whole'}
      onError={() => {
        setFailed(src);
        onFailed?.();
      }}
    />
  );
}
