import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { Link, Outlet, useLocation, useMatch, useNavigate } from 'react-router';
import { dryingFactor } from '@kolleta/core/finish';
import { airAt } from '@kolleta/core/schedule';
import { inSentence, formatTemperature } from '@kolleta/core/units';
import { now } from '../storage/clock';
import { redoJob, undoJob } from '../storage/editJob';
import { redoShop, undoShop } from '../storage/editShop';
import { lastChanged, lastChangedOfAll } from '../storage/lastChanged';
import { NotKept, NotTheWriter } from '../storage/keeping';
import { plainly } from '../storage/plainly';
import { leaveDemo } from '../storage/workshop';
import { isBeingTyped } from '../ui/typing';
import { useStoredWorkshop, WorkshopContext } from '../storage/useWorkshop';
import { useTell } from '../ui/toasts';
import { SavedSoFar } from '../ui/held';
import { SettlingContext, useSettlingOf } from '../workers/settled';
import { PlanContext, usePlanOf } from '../workers/usePlan';
import type { WorkshopState } from '../storage/useWorkshop';
import { stationsOf } from '../frame/stationList';
import { Band, BandButton } from './Band';
import { ClockBand } from './ClockBand';
import { KeepingBands, KeptWord } from './KeepingBands';
import { useSingleKeys } from './shortcuts';
import { UpdateBand } from './UpdateBand';

// opened by a key: not part of the first screen
const Finder = lazy(async () => ({ default: (await import('./Finder')).Finder }));
const Help = lazy(async () => ({ default: (await import('./Help')).Help }));

const PLACES = [
  { to: '/', name: 'Bench' },
  { to: '/jobs', name: 'Jobs' },
  { to: '/week', name: 'Week' },
  { to: '/quick', name: 'Quick mark' },
  { to: '/stock', name: 'Stock' },
  { to: '/logbook', name: 'Logbook' },
  { to: '/practice', name: 'Practice' },
  { to: '/workshop', name: 'Workshop' },
];
const THEMES = ['auto', 'workshop', 'night'] as const;
const THEME_WORD = { auto: 'As the device', workshop: 'Light', night: 'Dark' };

function readTheme(): (typeof THEMES)[number] {
  const stored = localStorage.getItem('theme');
  return THEMES.find((t) => t === stored) ?? 'auto';
}

function applyTheme(theme: (typeof THEMES)[number]): void {
  if (theme === 'auto') document.documentElement.removeAttribute('data-theme');
  else document.documentElement.dataset['theme'] = theme;
}

/** What nobody foresaw is told in plain words; what the bands tell already is not told twice. */
function useUnforeseen(): void {
  const tell = useTell();
  useEffect(() => {
    const hear = (event: PromiseRejectionEvent) => {
      event.preventDefault();
      if (!(event.reason instanceof NotKept || event.reason instanceof NotTheWriter)) tell(plainly(event.reason), { tone: 'error' });
    };
    window.addEventListener('unhandledrejection', hear);
    return () => window.removeEventListener('unhandledrejection', hear);
  }, [tell]);
}

/** Ctrl+Z and its like over the job or the shop on the screen, or over all of them where all are on it. */
function useUndo(): { undo: () => void; redo: () => void } | undefined {
  const tell = useTell();
  const id = useMatch('/job/:id/*')?.params.id;
  const [inStock, inWorkshop] = [useMatch('/stock') !== null, useMatch('/workshop') !== null];
  const [onBench, onWeek] = [useMatch('/') !== null, useMatch('/week') !== null];
  const ofShop = inStock || inWorkshop;
  const ofAll = onBench || onWeek;
  const where = id ?? (ofAll ? (onWeek ? '/week' : '/') : undefined);
  /** When the page was opened, and what was taken back on it since, to be done again in that order: on a page of all jobs by their ids. */
  const page = useRef<{ where: string | undefined; since: number; back: string[] }>({ where: undefined, since: 0, back: [] });
  if (page.current.where !== where) page.current = { where, since: Date.now(), back: [] };
  const run = async (what: 'undo' | 'redo') => {
    if (!id && !ofShop && !ofAll) return;
    try {
      const { since, back } = page.current;
      const target = async (): Promise<string | undefined> => {
        if (ofAll) return what === 'redo' ? back.pop() : lastChangedOfAll(since);
        if (!id) return 'shop';
        return what === 'redo' ? (back.pop() ?? 'job') : lastChanged(id, since);
      };
      const of = await target();
      if (of === undefined) {
        tell(`Nothing to ${what} here.`);
        return;
      }
      if (!ofShop && what === 'undo') back.push(of);
      const job = of === 'job' ? id! : of;
      const label = await (of === 'shop' ? (what === 'undo' ? undoShop() : redoShop()) : what === 'undo' ? undoJob(job) : redoJob(job));
      tell(label ? `${what === 'undo' ? 'Taken back' : 'Done again'}: ${inSentence(label)}.` : `Nothing to ${what}.`);
    } catch (error) {
      if (!(error instanceof NotKept || error instanceof NotTheWriter)) tell(plainly(error), { tone: 'error' });
    }
  };
  const latest = useRef(run);
  latest.current = run;
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if ((key !== 'z' && key !== 'y') || isBeingTyped(event.target)) return;
      event.preventDefault();
      void latest.current(key === 'y' || event.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, []);
  return id || ofShop ? { undo: () => void run('undo'), redo: () => void run('redo') } : undefined;
}

function Room({ state }: { state: WorkshopState }) {
  const climate = airAt(state.shop, now());
  const { temperatures } = state.shop;
  const humidity = Math.round(climate.humidity * 100);
  const percent = Math.round((dryingFactor('water', climate).factor - 1) * 100);
  const slower =
    Math.abs(percent) < 2 ? 'as their labels say' : `${Math.abs(percent)} % ${percent > 0 ? 'slower' : 'faster'} than their labels say`;
  return (
    <Link
      to="/workshop"
      className="measure hidden rounded-full bg-white/10 px-3 py-1.5 text-[0.78rem] text-[#f6f3ec] hover:bg-white/20 xl:inline"
      aria-label={`Workroom ${formatTemperature(climate.celsius, temperatures)}, ${humidity} % humidity: water-based coats dry ${slower}`}
      title={`Water-based coats dry ${slower}.`}
    >
      {formatTemperature(climate.celsius, temperatures)} · {humidity} %
    </Link>
  );
}

/** Single keys: places, stations of the job on the screen, help and finder. */
function useKeys(state: WorkshopState, open: (what: 'help' | 'find') => void): void {
  const navigate = useNavigate();
  const id = useMatch('/job/:id/*')?.params.id;
  const places: Record<string, string> = {
    b: '/',
    j: '/jobs',
    d: '/week',
    q: '/quick',
    s: '/stock',
    l: '/logbook',
    p: '/practice',
    w: '/workshop',
  };
  useSingleKeys((key) => {
    const job = state.jobs.find((j) => j.id === id);
    const station = job && /^[1-9]$/.test(key) ? stationsOf(job)[Number(key) - 1] : undefined;
    if (key === '?') open('help');
    else if (key === '/') open('find');
    else if (station) void navigate(`/job/${id}/${station.id}`);
    else if (places[key.toLowerCase()]) void navigate(places[key.toLowerCase()]!);
    else return false;
    return true;
  });
}

const HEADER_BUTTON = 'btn btn-sm max-sm:px-2 border-white/25 bg-transparent text-[#f6f3ec] shadow-none';

function Inside({ state }: { state: WorkshopState }) {
  const { plan, error, fresh, long, again } = usePlanOf(state);
  const settled = useSettlingOf(state, plan, fresh, error);
  const settling = useMemo(() => ({ fresh, settled }), [fresh, settled]);
  const [theme, setTheme] = useState(readTheme);
  const undo = useUndo();
  const { pathname } = useLocation();
  const [card, setCard] = useState<'help' | 'find'>();
  useKeys(state, setCard);
  useUnforeseen();
  useEffect(() => applyTheme(theme), [theme]);
  const turnTheme = () => {
    const next = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!;
    localStorage.setItem('theme', next);
    setTheme(next);
  };
  return (
    <WorkshopContext.Provider value={state}>
      <PlanContext.Provider value={plan}>
        <SettlingContext.Provider value={settling}>
          <SavedSoFar.Provider value={state.saves}>
            <a
              href="#main"
              className="btn btn-sm absolute top-1 left-1 z-50 -translate-y-20 focus:translate-y-0"
              onClick={(event) => {
                event.preventDefault();
                document.getElementById('main')?.focus();
              }}
            >
              To the work
            </a>
            <header className="bg-[#22302f] text-[#f6f3ec]">
              <div className="mx-auto flex max-w-[90rem] flex-wrap items-center gap-x-5 gap-y-1 px-4 py-0.5 sm:px-6">
                <Link
                  to="/"
                  className="font-head flex items-center gap-2 text-[1.45rem] font-extrabold tracking-tight"
                  aria-label="Kolleta, to the bench"
                >
                  <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
                    <path d="M1 3a2 2 0 0 1 2-2h14a2 2 0 0 1 2 2v9l-6 7H3a2 2 0 0 1-2-2z" fill="#D98E16" />
                    <path d="M19 12l-6 7v-5a2 2 0 0 1 2-2z" fill="#F3E9CF" />
                  </svg>
                  kolleta
                </Link>
                <nav
                  aria-label="Places"
                  className="flex gap-x-3.5 max-md:order-last max-md:basis-full max-md:overflow-x-auto max-md:whitespace-nowrap"
                >
                  {PLACES.map((place) => {
                    const here =
                      place.to === '/'
                        ? pathname === '/'
                        : pathname.startsWith(place.to) || (place.to === '/jobs' && pathname.startsWith('/job/'));
                    return (
                      <Link
                        key={place.to}
                        to={place.to}
                        aria-current={here ? 'page' : undefined}
                        className={`flex min-h-11 items-center border-b-3 text-[0.95rem] ${here ? 'border-[#D98E16] font-bold' : 'border-transparent text-[#d9d5ca] hover:border-white/40'}`}
                      >
                        {place.name}
                      </Link>
                    );
                  })}
                </nav>
                <div className="ml-auto flex flex-wrap items-center gap-1.5 sm:gap-2">
                  <KeptWord state={state} />
                  {undo && (
                    <>
                      <button type="button" className={HEADER_BUTTON} onClick={undo.undo} title="Ctrl+Z">
                        Undo
                      </button>
                      <button type="button" className={HEADER_BUTTON} onClick={undo.redo} title="Ctrl+Shift+Z">
                        Redo
                      </button>
                    </>
                  )}
                  {state.isDemo && (
                    <button type="button" className={`${HEADER_BUTTON} max-md:hidden`} onClick={() => void leaveDemo()}>
                      Leave the demo
                    </button>
                  )}
                  <Room state={state} />
                  <button type="button" className={`${HEADER_BUTTON} measure`} onClick={() => setCard('find')} title="/">
                    / find
                  </button>
                  <button type="button" className={HEADER_BUTTON} onClick={() => setCard('help')} aria-label="Keys" title="?">
                    ?
                  </button>
                  <button type="button" className={HEADER_BUTTON} onClick={turnTheme} aria-label={`Light or dark: ${THEME_WORD[theme]}`}>
                    {theme === 'auto' ? '◐' : theme === 'workshop' ? '○' : '●'}
                  </button>
                </div>
              </div>
            </header>
            {error && (
              <Band tone="error" label="No plan">
                <p className="min-w-0 flex-1">{plainly(error)}</p>
                <BandButton onClick={again}>Try again</BandButton>
              </Band>
            )}
            {long && (
              <Band tone="plain" label="The plan takes long">
                <p className="min-w-0 flex-1">The plan takes long. What you see is from before your last change; nothing is lost.</p>
                <BandButton onClick={again}>Begin it again</BandButton>
              </Band>
            )}
            <KeepingBands state={state} />
            <ClockBand state={state} />
            <UpdateBand />
            <Suspense>
              {card === 'help' && <Help onClose={() => setCard((now) => (now === 'help' ? undefined : now))} />}
              {card === 'find' && <Finder state={state} plan={plan} onClose={() => setCard((now) => (now === 'find' ? undefined : now))} />}
            </Suspense>
            <main id="main" tabIndex={-1} className="mx-auto max-w-[90rem] px-4 py-4 outline-none sm:px-6">
              <Outlet />
            </main>
          </SavedSoFar.Provider>
        </SettlingContext.Provider>
      </PlanContext.Provider>
    </WorkshopContext.Provider>
  );
}

/** Header, places and plan around every screen. */
export function Shell({ first }: { first: WorkshopState }) {
  return <Inside state={useStoredWorkshop(first)} />;
}
