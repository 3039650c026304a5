import { useEffect, useState } from 'react';
import { TECHNIQUES } from '@kolleta/core/facts';
import { asMade } from '@kolleta/core/fit';
import { lifeWords, otherwiseWords, type Way, type WayRanking } from '@kolleta/core/plan';
import { aOrAn, capital, formatDuration, formatMoney } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { VerdictMark } from '../../ui/Verdict';
import { useTell } from '../../ui/toasts';
import { askWays, stopPricing } from '../../workers/pricing';
import type { StationProps } from '../../frame/station';

/** How a way does on one count: a bar beside the best of all, with its figure. */
function Count({ name, figure, share }: { name: string; figure: string; share: number }) {
  return (
    <div className="grid grid-cols-[4.2rem_1fr_auto] items-center gap-x-2 text-[0.84rem]">
      <span className="quiet">{name}</span>
      <span className="bg-base-200 block h-2 rounded-sm">
        <span className="bg-primary block h-2 rounded-sm" style={{ width: `${Math.max(2, Math.min(100, share * 100))}%` }} />
      </span>
      <span className="measure min-w-16 text-right whitespace-nowrap">{figure}</span>
    </div>
  );
}

/** Which technique is the best for this piece and use, with reasons; one press makes it so. */
export function WaysCard({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const { events } = useWorkshop();
  const tell = useTell();
  const [ranking, setRanking] = useState<WayRanking>();
  const [busy, setBusy] = useState(false);
  // the job is another since: what was compared may no longer be so
  useEffect(() => setRanking(undefined), [job, shop]);
  const compare = async () => {
    setBusy(true);
    try {
      setRanking(await askWays(job, shop, events));
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    } finally {
      setBusy(false);
    }
  };
  const open = (ranking?.ways ?? []).filter(({ stops }) => stops.length === 0);
  const most = (of: (way: Way) => number) => Math.max(1, ...open.map(of));
  const [first] = open;
  return (
    <section className="sheet px-4 py-3" aria-label="Ways to make it">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[0.98rem] font-bold">Which technique?</h2>
        {busy ? (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={stopPricing}>
            Stop
          </button>
        ) : (
          <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => void compare()}>
            Compare the techniques
          </button>
        )}
      </div>
      {busy && <p role="status">Planning it each way…</p>}
      {!ranking && !busy && (
        <p className="quiet text-[0.88rem]">Each is planned for this piece: how long it lasts, its work, its days and its cost.</p>
      )}
      {ranking && (
        <>
          <p className="mt-1">
            {first
              ? `${capital(aOrAn(TECHNIQUES[first.technique].name))} is best for this piece${first.now ? ', as it is now' : ''}.`
              : 'None of them can be made on this piece as it is.'}{' '}
            {ranking.otherwise ? otherwiseWords(ranking.otherwise) : first ? 'No other use of it would change that.' : ''}
          </p>
          <ol className="mt-1 flex flex-col">
            {ranking.ways.map((way) => {
              const { name } = TECHNIQUES[way.technique];
              return (
                <li key={way.technique} className="border-base-300 border-t py-2 first:border-t-0">
                  <div className="flex flex-wrap items-center gap-2">
                    <VerdictMark verdict={way.stops.length > 0 ? 'stop' : way.watches > 0 ? 'watch' : 'fine'} size={15} />
                    <h3 className="flex-1 font-bold">{capital(name)}</h3>
                    {way.now ? (
                      <span className="quiet text-[0.86rem]">as it is now</span>
                    ) : (
                      <button
                        type="button"
                        className="btn btn-sm btn-ghost border-base-300"
                        onClick={() => void edit((saved) => asMade(saved, way.technique, shop), `Make it ${aOrAn(name)}`)}
                      >
                        Make it so
                      </button>
                    )}
                  </div>
                  {way.stops.length > 0 ? (
                    <p className="text-[0.9rem] leading-snug">{way.reasons[0]}</p>
                  ) : (
                    <>
                      <Count
                        name="lasts"
                        figure={lifeWords(way.life)}
                        share={Math.log1p(way.life) / Math.log1p(most(({ life }) => life))}
                      />
                      <Count name="work" figure={formatDuration(way.minutes)} share={way.minutes / most(({ minutes }) => minutes)} />
                      <Count
                        name="days"
                        figure={way.days < 1 ? formatDuration(Math.round(way.days * 24) * 60) : `${Math.ceil(way.days)} d`}
                        share={way.days / most(({ days }) => days)}
                      />
                      <Count name="cost" figure={formatMoney(way.cost, shop.currency)} share={way.cost / most(({ cost }) => cost)} />
                      <p className="text-[0.88rem]">It {way.comesOff}.</p>
                    </>
                  )}
                </li>
              );
            })}
          </ol>
          <p className="quiet text-[0.82rem]">
            {job.piece.use.dryShort
              ? 'It is only for a while: what comes off again and what is quick counts for more.'
              : 'How long it lasts counts most, then work and cost. What the maker’s sheets say comes first.'}
          </p>
        </>
      )}
    </section>
  );
}
