import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { DRILLS, HANDFUL, standingOf, type Answered, type Drill, type DrillId, type Judged, type Round } from '@kolleta/core/practice';
import type { Shop } from '@kolleta/core/job';
import { counted, formatDuration, formatLength } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';
import { forgetPractice, readPractice, recordAnswer } from './practiceRecord';
import { SceneDrawing } from './SceneDrawing';

const IDS = Object.keys(DRILLS) as DrillId[];
const isDrill = (id: string | undefined): id is DrillId => IDS.includes(id as DrillId);

/** The newest answers to a drill as notches: full where they were right. */
function Notches({ answers }: { answers: readonly Answered[] }) {
  const shown = answers.slice(-10);
  return (
    <svg width={shown.length * 9 + 2} height={14} aria-hidden="true">
      {shown.map(({ right, at }, i) => (
        <rect
          key={at}
          x={1 + i * 9}
          y={right ? 1 : 6}
          width={6}
          height={right ? 12 : 7}
          rx={1.5}
          fill={right ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth={1.4}
        />
      ))}
    </svg>
  );
}

/** A measure on a slider, as it is said. */
const sliderWords = (value: number, unit: 'min' | 'mm', shop: Shop): string =>
  unit === 'min' ? formatDuration(value) : formatLength(value, shop.lengths, { digits: 0 });

/** One round: its drawing, its question, and after the answer why. */
function RoundCard({ round, shop, onAnswered }: { round: Round; shop: Shop; onAnswered: (right: boolean) => void }) {
  const { ask } = round;
  const [value, setValue] = useState(ask.kind === 'slide' ? ask.start : 0);
  const [judged, setJudged] = useState<Judged & { given: string | number }>();
  const answer = (given: string | number) => {
    if (judged) return;
    const found = round.judge(given);
    setJudged({ ...found, given });
    onAnswered(found.right);
  };
  return (
    <>
      <SceneDrawing scene={round.scene} value={value} most={ask.kind === 'slide' ? ask.most : 0} judged={judged} shop={shop} />
      <h2 className="mt-2 text-[1.2rem] leading-7 font-bold">{round.question}</h2>
      {ask.kind === 'choose' ? (
        <div className="mt-3 flex flex-col gap-2">
          {ask.answers.map(({ id, label }) => {
            const look = !judged
              ? 'btn-outline btn-primary'
              : id === judged.best || (judged.right && id === judged.given)
                ? 'btn-success'
                : id === judged.given
                  ? 'btn-error'
                  : 'btn-ghost border-base-300';
            return (
              <button
                key={id}
                type="button"
                className={`btn h-auto min-h-11 justify-start py-2 text-left ${look}`}
                onClick={() => answer(id)}
              >
                {label}
              </button>
            );
          })}
        </div>
      ) : (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <input
            type="range"
            className="range range-primary min-w-48 flex-1"
            min={ask.least}
            max={ask.most}
            step={ask.step}
            value={value}
            disabled={judged !== undefined}
            aria-label={ask.unit === 'min' ? 'Minutes after the last coat' : 'Width of the mark'}
            aria-valuetext={sliderWords(value, ask.unit, shop)}
            onChange={(event) => setValue(Number(event.target.value))}
          />
          <span className="measure min-w-20 text-xl font-semibold">{sliderWords(value, ask.unit, shop)}</span>
          <button type="button" className="btn btn-primary min-h-11" disabled={judged !== undefined} onClick={() => answer(value)}>
            That is it
          </button>
        </div>
      )}
      <div role="status" className="mt-3">
        {judged && (
          <p className={`border-l-4 pl-3 leading-snug ${judged.right ? 'border-success' : 'border-error'}`}>
            <strong>{judged.right ? 'Right.' : 'Not this time.'}</strong> {judged.why}
          </p>
        )}
      </div>
    </>
  );
}

/** A handful of rounds of a drill, and how they went. */
function Handful({
  id,
  drill,
  shop,
  onAnswered,
  onAgain,
}: {
  id: DrillId;
  drill: Drill;
  shop: Shop;
  onAnswered: (answer: Answered) => void;
  onAgain: () => void;
}) {
  const fresh = () => drill.round(Math.random, shop);
  const [rounds, setRounds] = useState(() => [fresh()]);
  const [rights, setRights] = useState<readonly boolean[]>([]);
  const round = rounds.at(-1)!;
  const answered = rights.length === rounds.length;
  const over = rights.length === HANDFUL;
  return (
    <section className="sheet flex flex-col px-5 py-4" aria-label={drill.name}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <p className="font-bold">{drill.name}</p>
        <p className="quiet text-[0.9rem]">
          {Math.min(rounds.length, HANDFUL)} of {HANDFUL}
        </p>
      </div>
      <RoundCard
        key={rounds.length}
        round={round}
        shop={shop}
        onAnswered={(right) => {
          setRights((all) => [...all, right]);
          onAnswered({ drill: id, topic: round.topic, right, at: now() });
        }}
      />
      {answered && (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          {over ? (
            <>
              <p className="font-bold">
                {rights.filter((right) => right).length} of {HANDFUL} right.
              </p>
              <button type="button" className="btn btn-primary min-h-11" onClick={onAgain}>
                Another handful
              </button>
            </>
          ) : (
            <button type="button" className="btn btn-primary min-h-11" onClick={() => setRounds((all) => [...all, fresh()])}>
              The next one
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** Safe drills on drawn pieces, with one's own record. */
export function PracticePage() {
  const { drill: asked } = useParams();
  const { shop } = useWorkshop();
  const tell = useTell();
  const [record, setRecord] = useState<readonly Answered[]>([]);
  const [turn, setTurn] = useState(0);
  const drills = useRef<HTMLElement>(null);
  useEffect(() => {
    void readPractice().then(setRecord);
  }, []);
  const id = isDrill(asked) ? asked : IDS[0]!;
  // where the drills lie beside each other, the one that is shown is in sight
  useEffect(() => {
    const [strip, here] = [drills.current, drills.current?.querySelector<HTMLElement>('[aria-current="page"]')];
    if (strip && here) strip.scrollLeft = here.offsetLeft - strip.offsetLeft - (strip.clientWidth - here.clientWidth) / 2;
  }, [id]);
  const put = (answer: Answered) => {
    setRecord((all) => [...all, answer]);
    recordAnswer(answer).catch((error: unknown) => tell(plainly(error), { tone: 'error' }));
  };
  const forget = async () => {
    await forgetPractice();
    setRecord([]);
    tell('Your record is forgotten.');
  };
  return (
    <div className="flex flex-col gap-3">
      <div>
        <h1 className="text-[1.65rem] font-extrabold">Practice</h1>
        <p>Drawn pieces that cost nothing, judged as your jobs are. {counted(HANDFUL, 'round')} at a time, each with why.</p>
      </div>
      <div className="grid grid-cols-1 items-start gap-3 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <nav ref={drills} aria-label="Drills" className="liner flex gap-1.5 overflow-x-auto p-1.5 lg:flex-col">
          {IDS.map((one) => {
            const { answers, guessed } = standingOf(record, one);
            return (
              <Link
                key={one}
                to={`/practice/${one}`}
                className="station flex! h-auto! min-w-48 shrink-0 flex-col! items-start! gap-0! px-3 py-2 text-left! font-normal!"
                aria-current={one === id ? 'page' : undefined}
                onClick={() => setTurn((n) => n + 1)}
              >
                <span className="block font-bold">{DRILLS[one].name}</span>
                <span className="block text-[0.82rem] leading-snug">{DRILLS[one].about}</span>
                {answers.length > 0 && (
                  <span className="mt-0.5 block">
                    <Notches answers={answers} />
                    <span className="block text-[0.8rem] leading-snug">
                      {guessed.length > 0
                        ? `Still guessed: ${guessed.slice(0, 2).join('; ')}.`
                        : `${answers.filter(({ right }) => right).length} of ${answers.length} right.`}
                    </span>
                  </span>
                )}
              </Link>
            );
          })}
        </nav>
        <Handful key={`${id} ${turn}`} id={id} drill={DRILLS[id]} shop={shop} onAnswered={put} onAgain={() => setTurn((n) => n + 1)} />
      </div>
      {record.length > 0 && (
        <button type="button" className="btn btn-sm btn-ghost border-base-300 self-start" onClick={() => void forget()}>
          Forget my record
        </button>
      )}
    </div>
  );
}
