import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ReadWorkshop, WorkshopDifference } from '@kolleta/core/jobFile';
import { counted, type Result } from '@kolleta/core/units';
import { formatMoment } from '@kolleta/core/schedule';
import { saveWorkshopFile } from '../../storage/saveWorkshopFile';
import { db, type Snapshot } from '../../storage/db';
import { useWorkshop } from '../../storage/useWorkshop';
import { PLACE, wasOpened } from '../../storage/place';
import { beginAgain, bringBack, demoAnew, leaveDemo, noteBackup, openAsOwn, visitDemo } from '../../storage/workshop';
import { FileButton } from '../../ui/FileButton';
import { importerWorker } from '../../workers/importerClient';
import { MOST_WORKSHOP_BYTES, readFile } from '../../workers/readFile';
import { useTell } from '../../ui/toasts';

interface Waiting {
  name: string;
  run: () => Promise<void>;
  difference?: WorkshopDifference;
  text?: string;
  /** Jobs of the file that cannot be taken. */
  leftOut?: readonly { name: string; why: string }[];
}

const named = (names: readonly string[], word: string) =>
  names.length === 0 ? undefined : `${names.length} ${word}: ${names.slice(0, 6).join(', ')}${names.length > 6 ? ', …' : ''}`;

/** What a restore would change, line by line. */
function Changes({ difference: d }: { difference: WorkshopDifference }) {
  const lines = [
    named(d.jobsNew, d.jobsNew.length === 1 ? 'job comes' : 'jobs come'),
    named(d.jobsChanged, d.jobsChanged.length === 1 ? 'job changes' : 'jobs change'),
    named(d.jobsGone, d.jobsGone.length === 1 ? 'job goes' : 'jobs go'),
    d.eventsNew > 0 ? `${d.eventsNew} log entries come` : undefined,
    d.eventsGone > 0 ? `${d.eventsGone} log entries go` : undefined,
    d.stock.length > 0 ? `stock: ${d.stock.slice(0, 8).join(', ')}${d.stock.length > 8 ? ', …' : ''}` : undefined,
  ].filter((line) => line !== undefined);
  return lines.length === 0 ? (
    <p>It is the same as what is here: nothing would change.</p>
  ) : (
    <ul className="list-disc pl-5">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** The workshop out to a file and back; the demo, and a new beginning. */
export function WorkshopFile() {
  const state = useWorkshop();
  const { shop, jobs, events, backedUpAt } = state;
  const tell = useTell();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [waiting, setWaiting] = useState<Waiting>();
  const earlier =
    useLiveQuery(() =>
      db.snapshots
        .orderBy('id')
        .reverse()
        .toArray()
        .catch(() => []),
    ) ?? [];
  const save = async () => {
    await saveWorkshopFile(state);
    await noteBackup();
  };
  const take = async (file: File) => {
    setProblem(undefined);
    const now = { shop, jobs, events };
    const found = await readFile(
      file,
      (text) =>
        importerWorker.call(async (importer): Promise<Result<{ read: ReadWorkshop; difference?: WorkshopDifference }>> =>
          importer.workshop(text, file.name, now),
        ),
      MOST_WORKSHOP_BYTES,
    );
    if (!found.ok) {
      setProblem(`${found.problem.found} ${found.problem.wayOut}`);
      return;
    }
    const { read } = found.value;
    const difference = PLACE === 'own' ? found.value.difference : undefined;
    setWaiting({
      name: difference ? `Put “${read.shop.name}” in the place of this workshop?` : `Open “${read.shop.name}” as your own workshop?`,
      ...(difference
        ? { difference }
        : {
            text: `It holds ${counted(read.jobs.length, 'job')} and ${counted(read.events.length, 'log entry')}. The demo stays as it is.`,
          }),
      leftOut: read.leftOut ?? [],
      run: () => openAsOwn(read, `Restore ${file.name}`),
    });
  };
  const back = async () => {
    const name = await bringBack();
    tell(name === undefined ? 'There is no earlier workshop.' : `“${name}” is as it was before.`);
  };
  const askToBringBack = async ({ id, why, workshop }: Snapshot) => {
    const { compareWorkshops } = await import('@kolleta/core/jobFile');
    setWaiting({
      name: `Bring back “${workshop.shop.name}” as it was before “${why}”?`,
      difference: compareWorkshops({ shop, jobs, events }, workshop),
      run: async () => void (await bringBack(id)),
    });
  };
  const go = async () => {
    if (!waiting) return;
    await waiting.run();
    setWaiting(undefined);
    tell('The workshop was replaced.', { action: { label: 'Undo', run: () => void back() } });
  };
  return (
    <div>
      <h2 className="text-lg font-bold">The workshop as a file</h2>
      <p className="quiet mb-2 text-sm">
        Everything is saved in this browser only. The file holds all of it: stock, jobs and log.{' '}
        {PLACE === 'demo'
          ? 'You are in the demo: a file opens as your own workshop, and the demo stays as it is.'
          : backedUpAt
            ? `Last saved ${formatMoment(backedUpAt, shop.hours.zone)}.`
            : 'It has not been saved yet.'}
      </p>
      {problem && (
        <p role="alert" className="bg-error text-error-content mb-2 rounded px-3 py-2">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={() => void save()}>
          Save the workshop
        </button>
        <FileButton label="Workshop file" accept=".json,application/json" className="btn btn-outline" onFile={(file) => void take(file)}>
          Open a workshop file
        </FileButton>
        {PLACE === 'demo' ? (
          <>
            <button type="button" className="btn btn-ghost border-base-300" onClick={() => void leaveDemo()}>
              {wasOpened('own') ? 'Back to my workshop' : 'Begin my own workshop'}
            </button>
            <button
              type="button"
              className="btn btn-ghost border-base-300"
              onClick={() => setWaiting({ name: 'The demo as it was at first?', text: 'What was done in the demo goes.', run: demoAnew })}
            >
              The demo anew
            </button>
          </>
        ) : (
          <>
            <button type="button" className="btn btn-ghost border-base-300" onClick={visitDemo}>
              Visit the demo
            </button>
            <button
              type="button"
              className="btn btn-ghost border-base-300"
              onClick={() =>
                setWaiting({
                  name: 'Begin again with an empty workshop?',
                  text: `Stock, machines and hours go, with ${counted(jobs.length, 'job')} and ${counted(events.length, 'log entry')}.`,
                  run: async () => {
                    await beginAgain();
                    await navigate('/begin');
                  },
                })
              }
            >
              Begin empty
            </button>
          </>
        )}
      </div>
      {earlier.length > 0 && (
        <ul className="mt-2 flex flex-col items-start gap-1 text-sm">
          {earlier.map((one) => (
            <li key={one.id}>
              <button type="button" className="link" onClick={() => void askToBringBack(one)}>
                Bring back “{one.workshop.shop.name}” as it was before “{one.why}”
              </button>
              <span className="quiet">, {formatMoment(one.at, shop.hours.zone)}</span>
            </li>
          ))}
        </ul>
      )}
      {waiting && (
        <div role="alertdialog" aria-label={waiting.name} className="border-accent mt-3 rounded-lg border-2 p-3">
          <p className="font-bold">{waiting.name}</p>
          <div className="mb-2 text-sm">
            {waiting.difference ? <Changes difference={waiting.difference} /> : <p>{waiting.text}</p>}
            {(waiting.leftOut ?? []).length > 0 && (
              <ul role="alert" className="text-error my-1 list-disc pl-5">
                {waiting.leftOut!.map(({ name, why }) => (
                  <li key={`${name}${why}`}>
                    {name} cannot be taken and is left out: {why}.
                  </li>
                ))}
              </ul>
            )}
            <p>What is here now is put by, and can be brought back.</p>
          </div>
          <div className="flex gap-2">
            <button type="button" className="btn btn-primary btn-sm" onClick={() => void go()}>
              Do it
            </button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setWaiting(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </div>
  );
}
