import { t } from '@lingui/core/macro';
import { useCallback, useState } from 'react';

/** A picture that a family sent for the door: it is in the memory of this page and nowhere else. */
export interface DoorPicture {
  readonly id: number;
  readonly name: string;
  readonly bitmap: ImageBitmap;
}

export interface DoorPictures {
  readonly pictures: readonly DoorPicture[];
  /** What could not be taken, and why. */
  readonly refused: readonly string[];
  /** The families agreed that the group sees them: without it nothing is shown. */
  readonly isAgreed: boolean;
  readonly agree: (isAgreed: boolean) => void;
  readonly add: (files: readonly File[]) => Promise<void>;
  readonly remove: (id: number) => void;
  /** Lets go of all of them. */
  readonly clear: () => void;
}

const most = 24;
const mostBytes = 30 * 2 ** 20;
/** Wider than this no screen shows it at the door. */
const mostPixels = 1400;

/** Reads a picture and makes it small enough; what cameras write beside it – where it was taken – is not kept. @throws for what is none */
async function read(file: File): Promise<ImageBitmap> {
  const whole = await createImageBitmap(file);
  const scale = Math.min(1, mostPixels / Math.max(whole.width, whole.height));
  if (scale === 1) return whole;
  const small = await createImageBitmap(whole, {
    resizeWidth: Math.max(1, Math.round(whole.width * scale)),
    resizeHeight: Math.max(1, Math.round(whole.height * scale)),
    resizeQuality: 'high',
  });
  whole.close();
  return small;
}

let count = 0;

/** Pictures for the door of one class: chosen before it, shown once, kept nowhere. */
export function useDoorPictures(): DoorPictures {
  const [pictures, setPictures] = useState<readonly DoorPicture[]>([]);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [isAgreed, setAgreed] = useState(false);
  const add = async (files: readonly File[]): Promise<void> => {
    const [no, yes]: [string[], DoorPicture[]] = [[], []];
    for (const file of files) {
      if (pictures.length + yes.length >= most) no.push(t`${file.name}: at most ${most} pictures at a door.`);
      else if (file.size > mostBytes) no.push(t`${file.name} is larger than 30 MB.`);
      else
        await read(file).then(
          (bitmap) => yes.push({ id: ++count, name: file.name, bitmap }),
          () => no.push(t`${file.name} is no picture that a browser can show: JPEG, PNG and WebP are.`),
        );
    }
    setPictures((all) => [...all, ...yes]);
    setRefused(no);
  };
  const clear = useCallback(() => {
    setPictures((all) => {
      for (const { bitmap } of all) bitmap.close();
      return [];
    });
    setRefused([]);
    setAgreed(false);
  }, []);
  return {
    pictures,
    refused,
    isAgreed,
    agree: setAgreed,
    add,
    remove: (id) => {
      pictures.find((one) => one.id === id)?.bitmap.close();
      setPictures((all) => all.filter((one) => one.id !== id));
    },
    clear,
  };
}
