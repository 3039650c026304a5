import { useState, type ReactNode } from 'react';
import type { ReadWorkshop, WorkshopDifference } from '@kolleta/core/jobFile';
import type { Result } from '@kolleta/core/units';
import { forgetOpened, openAsOwn } from '../storage/workshop';
import { FileButton } from '../ui/FileButton';
import { PLACE } from '../storage/place';
import { importerWorker } from '../workers/importerClient';
import { MOST_WORKSHOP_BYTES, readFile } from '../workers/readFile';

function Page({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="m-6 max-w-xl sm:m-10">
      <h1 className="text-2xl font-bold">{title}</h1>
      {children}
    </main>
  );
}

const reload = () => window.location.reload();

/** The browser does not let this page store anything. */
export function NoStorage({ error, storage }: { error: unknown; storage: boolean }) {
  return (
    <Page title={storage ? 'Kolleta cannot save anything here' : 'Kolleta cannot start'}>
      <p className="my-2">
        {storage
          ? 'The browser does not let this page store data. Allow storage for this address in its settings, leave the private window, or free space on the device; then try again. A workshop file can be opened in any other browser.'
          : 'Something failed before the workshop was open. Nothing that is saved was touched.'}
      </p>
      <button type="button" className="btn btn-primary mt-3" onClick={reload}>
        Try again
      </button>
      <details className="quiet mt-3 text-sm">
        <summary>For those who mend it</summary>
        <p className="measure">{error instanceof Error ? `${error.name}: ${error.message}` : String(error)}</p>
      </details>
    </Page>
  );
}

/** The browser has thrown the workshop away. */
export function Emptied() {
  const [problem, setProblem] = useState<string>();
  const take = async (file: File) => {
    const found = await readFile(
      file,
      (text) =>
        importerWorker.call(async (importer): Promise<Result<{ read: ReadWorkshop; difference?: WorkshopDifference }>> =>
          importer.workshop(text, file.name),
        ),
      MOST_WORKSHOP_BYTES,
    );
    if (!found.ok) {
      setProblem(`${found.problem.found} ${found.problem.wayOut}`);
      return;
    }
    await openAsOwn(found.value.read, 'Restore');
    reload();
  };
  return (
    <Page title="The workshop that was saved here is gone">
      <p className="my-2">
        This browser has emptied Kolleta’s storage: it does so when room gets short, or when its data are cleared. Open your last workshop
        file to go on where it stood, or begin anew.
      </p>
      {problem && (
        <p role="alert" className="bg-error text-error-content mb-2 rounded px-3 py-2">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <FileButton label="Workshop file" accept=".json,application/json" className="btn btn-primary" onFile={(file) => void take(file)}>
          Open a workshop file
        </FileButton>
        <button
          type="button"
          className="btn btn-outline"
          onClick={() => {
            forgetOpened();
            reload();
          }}
        >
          {PLACE === 'demo' ? 'Begin with the demo workshop' : 'Begin anew'}
        </button>
      </div>
    </Page>
  );
}
