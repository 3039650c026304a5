import { useState } from 'react';
import { setAt } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { FileButton } from '../../ui/FileButton';
import { useTell } from '../../ui/toasts';
import { importerWorker } from '../../workers/importerClient';
import type { TakenFont } from '../../workers/importer.worker';

/** Larger faces are not kept. */
const MOST_BYTES = 12_000_000;
/** Of a collection so many are offered. */
const MOST_OFFERED = 24;

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/** Brings a face of the user's own into the workshop, with what it may be used for. */
export function OwnFaces() {
  const tell = useTell();
  const [problem, setProblem] = useState<string>();
  /** What a collection holds, to choose from. */
  const [offered, setOffered] = useState<readonly TakenFont[]>([]);
  const keep = async ({ name, bytes, weights, broken }: TakenFont) => {
    setOffered([]);
    if (broken.length > 0) {
      setProblem(
        `“${name}” is damaged: its ${broken.slice(0, 8).join(' ')} cannot be drawn. Get it again from where it came. Nothing was changed.`,
      );
      return;
    }
    if (bytes.byteLength > MOST_BYTES) {
      setProblem(`“${name}” has more than 12 MB when it is unpacked. Take a version with fewer alphabets. Nothing was changed.`);
      return;
    }
    const face = {
      id: `own-${newId()}`,
      name,
      permitted: 'unknown' as const,
      data: base64(new Uint8Array(bytes)),
      ...(weights ? { weights } : {}),
    };
    await editShop(() => setAt(['faces', face.id], face), 'Bring a font');
    tell(`${name} is among your own fonts. Say on the shelf below whether it may be used for sale.`);
  };
  const take = async (file: File) => {
    setProblem(undefined);
    setOffered([]);
    if (file.size > 2 * MOST_BYTES) {
      setProblem(`“${file.name}” is larger than 24 MB. Take a version with fewer alphabets. Nothing was changed.`);
      return;
    }
    const bytes = await file.arrayBuffer();
    const read = await importerWorker.call(async (importer): Promise<Result<readonly TakenFont[]>> => importer.fonts(bytes, file.name));
    if (!read.ok || read.value.length === 0) {
      setProblem(`“${file.name}” is not a font that can be read: a TTF, OTF, WOFF or WOFF2 file is wanted. Nothing was changed.`);
      return;
    }
    const called = file.name.replace(/\.[^.]+$/, '').slice(0, 100);
    const [only] = read.value;
    if (read.value.length === 1) await keep({ ...only!, name: called });
    else
      setOffered(
        read.value.slice(0, MOST_OFFERED).map((font, i) => ({ ...font, name: (font.name || `${called} ${i + 1}`).slice(0, 100) })),
      );
  };
  return (
    <>
      <FileButton
        label="Face file"
        accept=".ttf,.otf,.ttc,.otc,.woff,.woff2,font/ttf,font/otf,font/woff,font/woff2,font/collection"
        className="btn btn-sm btn-ghost border-base-300"
        onFile={(file) => void take(file)}
      >
        Add a font of yours
      </FileButton>
      {offered.length > 0 && (
        <div role="group" aria-label="Fonts of the collection" className="w-full">
          <p className="text-sm">The file holds {offered.length} fonts. Which one?</p>
          <div className="flex flex-wrap gap-1.5">
            {offered.map((font, i) => (
              <button key={i} type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void keep(font)}>
                {font.name}
              </button>
            ))}
          </div>
        </div>
      )}
      {problem && (
        <p role="alert" className="bg-error text-error-content w-full rounded px-2 py-1 text-sm">
          {problem}
        </p>
      )}
    </>
  );
}
