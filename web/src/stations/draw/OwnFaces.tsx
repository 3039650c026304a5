import { useState } from 'react';
import { setAt } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { FileButton } from '../../ui/FileButton';
import { useTell } from '../../ui/toasts';

/** Larger faces are not kept. */
const MOST_BYTES = 2_500_000;

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/** Brings a face of the user's own into the workshop, with what it may be used for. */
export function OwnFaces() {
  const tell = useTell();
  const [problem, setProblem] = useState<string>();
  const take = async (file: File) => {
    setProblem(undefined);
    if (file.size > MOST_BYTES) {
      setProblem(`“${file.name}” is larger than 2.5 MB. Take a version with fewer alphabets. Nothing was changed.`);
      return;
    }
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (String.fromCharCode(...bytes.subarray(0, 4)) === 'wOF2') {
      setProblem(
        `“${file.name}” is a WOFF2 file, which is packed for web pages. Take the TTF, OTF or WOFF of the same font. Nothing was changed.`,
      );
      return;
    }
    const { brokenLetters, readFace } = await import('@kolleta/core/artwork');
    const read = readFace(file.name, [bytes.buffer]);
    if (!read.ok) {
      setProblem(`“${file.name}” is not a font that can be read: a TTF, OTF or WOFF file is wanted. Nothing was changed.`);
      return;
    }
    const broken = brokenLetters(read.value);
    if (broken.length > 0) {
      setProblem(
        `“${file.name}” is damaged: its ${broken.slice(0, 8).join(' ')} cannot be drawn. Get it again from where it came. Nothing was changed.`,
      );
      return;
    }
    const name = file.name.replace(/\.[^.]+$/, '').slice(0, 100);
    const face = { id: `own-${newId()}`, name, permitted: 'unknown' as const, data: base64(bytes) };
    await editShop(() => setAt(['faces', face.id], face), 'Bring a font');
    tell(`${name} is among your own fonts. Say on the shelf below whether it may be used for sale.`);
  };
  return (
    <>
      <FileButton
        label="Face file"
        accept=".ttf,.otf,.woff,font/ttf,font/otf,font/woff"
        className="btn btn-sm btn-ghost border-base-300"
        onFile={(file) => void take(file)}
      >
        Add a font of yours
      </FileButton>
      {problem && (
        <p role="alert" className="bg-error text-error-content w-full rounded px-2 py-1 text-sm">
          {problem}
        </p>
      )}
    </>
  );
}
