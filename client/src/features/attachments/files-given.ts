import { useEffect, useState } from 'react';
import { useLayerElement } from '@/ui/layers.ts';

/** Files that are pasted or dropped while what they are for is open. Returns whether some are held over it. */
export function useFilesGivenTo(add: ((files: File[]) => void) | null): boolean {
  const layer = useLayerElement();
  const [over, setOver] = useState(false);
  useEffect(() => {
    if (!add) return undefined;
    const place: EventTarget = layer ?? window;
    const carried = (event: Event) => (event as DragEvent).dataTransfer?.types.includes('Files') ?? false;
    const take = (event: Event, files: FileList | undefined) => {
      if (!files || files.length === 0) return;
      event.preventDefault();
      add([...files]);
    };
    const paste = (event: Event) => take(event, (event as ClipboardEvent).clipboardData?.files);
    const drag = (event: Event) => {
      if (!carried(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: Event) => setOver(event.target !== place && (event as DragEvent).relatedTarget !== null);
    const drop = (event: Event) => {
      setOver(false);
      if (carried(event)) take(event, (event as DragEvent).dataTransfer?.files);
    };
    const events = { paste, dragover: drag, dragleave: leave, drop };
    for (const [name, listen] of Object.entries(events)) place.addEventListener(name, listen);
    return () => {
      for (const [name, listen] of Object.entries(events)) place.removeEventListener(name, listen);
    };
  });
  return over;
}
