import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  FILM_KINDS,
  TAPE_KINDS,
  USUAL_CUTTERS,
  USUAL_FILMS,
  USUAL_ROLL,
  USUAL_TAPES,
  USUAL_WEEKS,
  type UsualCutter,
} from '@kolleta/core/facts';
import type { Shop } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { useWorkshop } from '../../storage/useWorkshop';
import { begin, type Answers } from './begin';

/** An answer that is drawn; pressed ones are chosen. */
function Answer({
  chosen,
  onPress,
  drawing,
  children,
}: {
  chosen: boolean;
  onPress: () => void;
  drawing?: ReactNode;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`flex min-h-14 items-center gap-2.5 rounded-lg border-2 px-3 py-1.5 text-left leading-tight ${chosen ? 'border-primary bg-primary/10 font-bold' : 'border-base-300 bg-base-100 hover:border-primary/60'}`}
      onClick={onPress}
    >
      {drawing}
      <span>{children}</span>
      <span aria-hidden="true" className={`ml-auto ${chosen ? '' : 'invisible'}`}>
        ✓
      </span>
    </button>
  );
}

function Question({ number, title, hint, children }: { number: number; title: string; hint?: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="sheet px-4 py-3">
      <h2 className="text-lg font-bold">
        <span className="quiet mr-1.5 font-normal">{number}</span>
        {title}
      </h2>
      {hint && <p className="quiet text-sm">{hint}</p>}
      <div className="mt-2 grid grid-cols-1 gap-2 sm:grid-cols-2 lg:grid-cols-4">{children}</div>
    </section>
  );
}

/** A roll seen from its end and its free edge, in its colour. */
function RollDrawing({ colour }: { colour: string }) {
  return (
    <svg width="46" height="30" viewBox="0 0 46 30" aria-hidden="true" className="shrink-0">
      <rect x="12" y="3" width="32" height="24" fill={colour} stroke="var(--color-base-content)" strokeWidth="0.8" />
      <ellipse cx="12" cy="15" rx="8" ry="12" fill={colour} stroke="var(--color-base-content)" strokeWidth="0.8" />
      <ellipse cx="12" cy="15" rx="3" ry="4.5" fill="var(--color-base-100)" stroke="var(--color-base-content)" strokeWidth="0.8" />
    </svg>
  );
}

/** A week of working hours, small. */
function WeekDrawing({ week }: { week: Shop['hours']['week'] }) {
  return (
    <svg width="50" height="34" viewBox="0 0 50 34" aria-hidden="true" className="shrink-0">
      {[1, 2, 3, 4, 5, 6, 0].map((day, i) => (
        <g key={day}>
          <rect x={i * 7} y={1} width={6} height={32} fill="var(--color-base-300)" />
          {week[day]!.map(([start, end]) => (
            <rect key={start} x={i * 7} y={1 + start / 45} width={6} height={(end - start) / 45} fill="var(--color-primary)" />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** A cutter from above, as wide as it cuts. */
function CutterDrawing({ cutter }: { cutter: UsualCutter }) {
  const width = cutter.width / 13;
  return (
    <svg width="60" height="30" viewBox="0 0 60 30" aria-hidden="true" className="shrink-0">
      <rect x={30 - width / 2} y={1} width={width} height={28} fill="var(--liner)" stroke="var(--liner-line)" />
      <rect x={27 - width / 2} y={9} width={width + 6} height={12} rx={2} fill="var(--color-base-content)" opacity={0.75} />
    </svg>
  );
}

/** Five questions that make a workshop one's own; each can be left, and everything can be changed later. */
export function BeginPage() {
  const { shop } = useWorkshop();
  const navigate = useNavigate();
  const [answers, setAnswers] = useState<Answers>({ films: [], tapes: [] });
  const lengths = answers.lengths ?? shop.lengths;
  const turned = (list: readonly number[], i: number) => (list.includes(i) ? list.filter((one) => one !== i) : [...list, i]);
  const one = <K extends 'lengths' | 'week' | 'cutter'>(key: K, value: NonNullable<Answers[K]>) => {
    const { [key]: was, ...rest } = answers;
    setAnswers(was === value ? (rest as Answers) : { ...answers, [key]: value });
  };
  const go = async () => {
    await editShop((saved) => begin(saved, answers, newId), 'Begin the workshop');
    await navigate('/quick');
  };
  // machines and rolls are spoken of in half inches
  const say = (mm: number) => formatLength(lengths === 'inch' ? Math.round(mm / 12.7) * 12.7 : mm, lengths, { digits: 0 });
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <div className="mr-auto min-w-0">
          <h1 className="text-[1.65rem] font-extrabold">Your own workshop</h1>
          <p className="quiet">Five questions. Leave any of them: all of it can be said or changed later, in Stock and Workshop.</p>
        </div>
        <button type="button" className="btn btn-primary btn-lg" onClick={() => void go()}>
          Begin with my first mark
        </button>
      </div>
      <Question number={1} title="Inches or millimetres?">
        <Answer chosen={lengths === 'mm'} onPress={() => one('lengths', 'mm')}>
          Millimetres, °C
        </Answer>
        <Answer chosen={lengths === 'inch'} onPress={() => one('lengths', 'inch')}>
          Inches, °F
        </Answer>
      </Question>
      <Question number={2} title="When do you work?" hint={`Times are those of ${shop.hours.zone}, as this device says.`}>
        {(Object.keys(USUAL_WEEKS) as (keyof typeof USUAL_WEEKS)[]).map((key) => (
          <Answer
            key={key}
            chosen={answers.week === key}
            onPress={() => one('week', key)}
            drawing={<WeekDrawing week={USUAL_WEEKS[key].week} />}
          >
            {USUAL_WEEKS[key].name}
          </Answer>
        ))}
      </Question>
      <Question number={3} title="What do you cut with?" hint="The nearest one; its exact width can be set later.">
        {USUAL_CUTTERS.map((cutter, i) => (
          <Answer
            key={cutter.name}
            chosen={answers.cutter === i}
            onPress={() => one('cutter', i)}
            drawing={<CutterDrawing cutter={cutter} />}
          >
            {cutter.name}, {say(cutter.width)}
          </Answer>
        ))}
      </Question>
      <Question
        number={4}
        title="Which film do you have?"
        hint={`Taken as rolls of ${say(USUAL_ROLL[lengths].width)} × ${say(USUAL_ROLL[lengths].length)} until you measure yours.`}
      >
        {USUAL_FILMS.map((film, i) => (
          <Answer
            key={film.name}
            chosen={answers.films.includes(i)}
            onPress={() => setAnswers({ ...answers, films: turned(answers.films, i) })}
            drawing={<RollDrawing colour={film.colour} />}
          >
            {film.name}
            <span className="quiet block text-[0.8rem] font-normal">{FILM_KINDS[film.kind].name}</span>
          </Answer>
        ))}
      </Question>
      <Question number={5} title="Which tape lifts your marks?">
        {USUAL_TAPES.map((tape, i) => (
          <Answer
            key={tape.kind}
            chosen={answers.tapes.includes(i)}
            onPress={() => setAnswers({ ...answers, tapes: turned(answers.tapes, i) })}
          >
            {tape.name}
            {TAPE_KINDS[tape.kind].substitute && (
              <span className="quiet block text-[0.8rem] font-normal">from the kitchen drawer, instead of transfer tape</span>
            )}
          </Answer>
        ))}
      </Question>
      <div className="flex justify-end">
        <button type="button" className="btn btn-primary btn-lg" onClick={() => void go()}>
          Begin with my first mark
        </button>
      </div>
    </div>
  );
}
