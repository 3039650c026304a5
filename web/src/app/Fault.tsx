import { useState } from 'react';
import { useRouteError } from 'react-router';
import { forgetDerived } from '../storage/derived';
import { plainly } from '../storage/plainly';
import { saveWorkshopFile } from '../storage/saveWorkshopFile';
import { readWorkshop } from '../storage/useWorkshop';

/** What is shown where a page failed. It asks nobody to give anything up. */
export function Fault() {
  const error = useRouteError();
  const [problem, setProblem] = useState<string>();
  const tried = (run: () => Promise<void>) => () => void run().catch((failed: unknown) => setProblem(plainly(failed)));
  const save = tried(async () => {
    const state = await readWorkshop();
    if (state) await saveWorkshopFile(state);
    else setProblem('There is nothing saved in this browser yet.');
  });
  const openAnew = tried(async () => {
    await forgetDerived();
    window.location.reload();
  });
  return (
    <div className="m-8 max-w-xl">
      <h1 className="text-2xl font-bold">Something in Kolleta failed</h1>
      <p className="my-2">
        Your jobs are saved in this browser and are not touched by it. Reload first. If it comes again, open without what was worked out
        before: all that you typed and did stays. To be safe, save the workshop as a file.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={() => window.location.reload()}>
          Reload
        </button>
        <button type="button" className="btn btn-outline" onClick={openAnew}>
          Open without what was worked out
        </button>
        <button type="button" className="btn btn-outline" onClick={save}>
          Save the workshop
        </button>
        <a className="btn btn-ghost" href="#/jobs">
          All jobs
        </a>
      </div>
      {problem && (
        <p role="alert" className="text-error mt-2">
          {problem}
        </p>
      )}
      <details className="quiet mt-3 text-sm">
        <summary>For those who mend it</summary>
        <p className="measure">{error instanceof Error ? error.message : String(error)}</p>
      </details>
    </div>
  );
}
