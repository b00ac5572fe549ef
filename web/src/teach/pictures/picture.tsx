import { useEffect, useRef } from 'react';
import type { DoorPicture } from './use-door-pictures';

/** A picture as large as its place, whole. */
export function Picture({ picture: { bitmap, name }, label = name }: { readonly picture: DoorPicture; readonly label?: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(bitmap, 0, 0);
  }, [bitmap]);
  return (
    <canvas
      ref={canvas}
      width={bitmap.width}
      height={bitmap.height}
      role="img"
      aria-label={label}
      style={{ display: 'block', width: '100%', height: '100%', objectFit: 'contain' }}
    />
  );
}
