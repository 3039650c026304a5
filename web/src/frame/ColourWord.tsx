import { useEffect, useRef, useState } from 'react';
import { PALETTE } from '@kolleta/core/facts';
import { colourAt } from '../ui/colourAt';
import { FileButton } from '../ui/FileButton';
import type { Saving } from '../ui/held';
import { openPicture } from '../storage/openPicture';
import { plainly } from '../storage/plainly';

const nameOf = (colour: string) => PALETTE.find((one) => one.colour === colour)?.name;

/** Takes a colour from a photo: where it is touched, the mean of a few pixels around. */
function FromPhoto({ photo, onPick }: { photo: ImageBitmap; onPick: (colour: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(photo, 0, 0, canvas.current.width, canvas.current.height);
  }, [photo]);
  const scale = Math.min(1, 640 / Math.max(photo.width, photo.height));
  const [width, height] = [Math.max(1, Math.round(photo.width * scale)), Math.max(1, Math.round(photo.height * scale))];
  return (
    <figure className="mt-2">
      <canvas
        ref={canvas}
        width={width}
        height={height}
        className="max-h-72 max-w-full cursor-crosshair rounded"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          const at = [((event.clientX - box.left) / box.width) * width, ((event.clientY - box.top) / box.height) * height] as const;
          const context = event.currentTarget.getContext('2d');
          if (context) onPick(colourAt(context.getImageData(0, 0, width, height), at[0], at[1]));
        }}
      />
      <figcaption className="quiet text-sm">Touch the film where its colour is even, away from glare.</figcaption>
    </figure>
  );
}

/** A colour in a sentence: a swatch that opens to a palette, to any other shade, and to a photo of the thing. */
export function ColourWord({ label, value, onChange }: { label: string; value: string; onChange: (colour: string) => Saving }) {
  const [open, setOpen] = useState(false);
  const [photo, setPhoto] = useState<ImageBitmap>();
  const [problem, setProblem] = useState<string>();
  const button = useRef<HTMLButtonElement>(null);
  const pick = (colour: string) => {
    void onChange(colour);
    setOpen(false);
    setPhoto(undefined);
    button.current?.focus();
  };
  const load = async (file: File) => {
    setProblem(undefined);
    try {
      setPhoto(await openPicture(file, { resizeWidth: 640, resizeQuality: 'medium' }));
    } catch (error) {
      setProblem(`${plainly(error)} Or take a colour from the palette.`);
    }
  };
  return (
    <span className="relative inline-block align-middle">
      <button
        ref={button}
        type="button"
        className="border-base-content/60 inline-flex min-h-8 min-w-12 rounded border align-middle"
        style={{ background: value }}
        aria-label={`${label}: ${nameOf(value) ?? value}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      />
      {open && (
        <span
          role="group"
          aria-label={label}
          className="sheet absolute top-full left-0 z-20 mt-1 block w-[min(26rem,80vw)] max-sm:fixed max-sm:inset-x-4 max-sm:top-24 max-sm:w-auto p-3 text-base leading-normal shadow-lg"
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            setOpen(false);
            button.current?.focus();
          }}
        >
          <span className="grid grid-cols-[repeat(auto-fill,minmax(2.4rem,1fr))] gap-1.5">
            {PALETTE.map(({ name, colour }) => (
              <button
                key={colour}
                type="button"
                className={`aspect-square rounded border ${colour === value ? 'border-primary border-4' : 'border-base-content/40'}`}
                style={{ background: colour }}
                aria-label={name}
                aria-pressed={colour === value}
                title={name}
                onClick={() => pick(colour)}
              />
            ))}
          </span>
          <span className="mt-2 flex flex-wrap items-center gap-2">
            <label className="flex items-center gap-2 text-sm">
              another shade
              <input
                type="color"
                className="h-9 w-14"
                value={value}
                aria-label={`${label}, another shade`}
                onChange={(event) => void onChange(event.target.value.toLowerCase())}
              />
            </label>
            <FileButton label={`${label}, from a photo`} accept="image/*" onFile={(file) => void load(file)}>
              From a photo
            </FileButton>
          </span>
          {problem && (
            <span role="alert" className="text-error block text-sm">
              {problem}
            </span>
          )}
          {photo && <FromPhoto photo={photo} onPick={pick} />}
        </span>
      )}
    </span>
  );
}
