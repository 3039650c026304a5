import { useNavigate } from 'react-router';
import { copyJob, nameOfCopy, setAt, type JobPattern, type Shop } from '@kolleta/core/job';
import { counted } from '@kolleta/core/units';
import { FrontView } from '../../drawing/FrontView';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { editShop } from '../../storage/editShop';
import { takeAway } from '../../storage/takeAway';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { TextWord } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { Boundary } from '../../ui/Boundary';

/** Jobs that were saved as patterns: each begins another like it. */
export function Patterns({ shop, names }: { shop: Shop; names: readonly string[] }) {
  const navigate = useNavigate();
  const tell = useTell();
  const patterns = shop.patterns ?? [];
  if (patterns.length === 0) return null;
  const begin = async ({ name, job }: JobPattern) => {
    try {
      const fresh = copyJob(job, newId(), names.includes(name) ? nameOfCopy(name, names) : name, now());
      await addJob(fresh);
      await navigate(`/job/${fresh.id}/measure`);
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const remove = async (pattern: JobPattern) => {
    const back = await takeAway('patterns', pattern.id, pattern.name);
    tell(`${pattern.name} is no pattern any more.`, { action: { label: 'Undo', run: () => void back() } });
  };
  return (
    <section aria-label="Patterns">
      <h2 className="mb-1 text-lg font-bold">Begin like before</h2>
      <ul className="flex flex-wrap gap-3">
        {patterns.map((pattern) => (
          <li key={pattern.id} className="sheet flex items-center gap-3 p-2.5">
            <Boundary of={pattern} instead={null}>
              <FrontView
                piece={pattern.job.piece}
                zones={pattern.job.zones}
                marks={[]}
                shop={shop}
                className="h-16 w-16"
                pad={[2, 2, 2, 2]}
              />
            </Boundary>
            <div>
              <TextWord
                label={`Name of the pattern ${pattern.name}`}
                value={pattern.name}
                onChange={(name) => editShop(setAt(['patterns', pattern.id, 'name'], name), 'Name a pattern')}
              />
              <p className="quiet text-sm">
                {pattern.job.piece.name}, {counted(pattern.job.marks.length, 'mark')}
              </p>
            </div>
            <button
              type="button"
              className="btn btn-sm btn-primary"
              aria-label={`Begin like ${pattern.name}`}
              onClick={() => void begin(pattern)}
            >
              Begin
            </button>
            <button
              type="button"
              className="btn btn-xs btn-ghost"
              aria-label={`Take the pattern ${pattern.name} away`}
              onClick={() => void remove(pattern)}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
