import type { CutterPhase, CutterReport, LoadedFilm } from './cutter';
import type { Point } from '../geometry';

const PHASES: Readonly<Record<CutterPhase, true>> = {
  idle: true,
  cutting: true,
  paused: true,
  stopped: true,
  done: true,
  outOfFilm: true,
  lidOpen: true,
};
/** Lengths are told in whole steps of a machine: sums of them are off by no more than this, mm. */
const ROUNDED = 1;

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null;
const isLength = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value) && value >= 0;
const isWord = (value: unknown): value is string | undefined => value === undefined || typeof value === 'string';
const isPoint = (value: unknown): value is Point =>
  Array.isArray(value) && value.length === 2 && value.every((one) => Number.isFinite(one));
const isFilm = (value: unknown): value is LoadedFilm | undefined =>
  value === undefined || (isRecord(value) && isLength(value.width) && isLength(value.length) && isWord(value.name));

/**
 * What a cutter tells, where that can be true: it comes from outside, and film is booked by it.
 *
 * @param value whatever came
 * @returns undefined for anything that no cutter can mean: fields that are wanting, counts that are no counts, more cut than there was to cut
 */
export function readCutterReport(value: unknown): CutterReport | undefined {
  if (!isRecord(value)) return undefined;
  const { phase, run, film, knife, strokes, used, cut, toCut, refusal } = value;
  if (typeof phase !== 'string' || !Object.hasOwn(PHASES, phase) || !isWord(run) || !isWord(refusal) || !isFilm(film)) return undefined;
  if (!isPoint(knife) || !isLength(strokes) || !Number.isInteger(strokes)) return undefined;
  if (!isLength(used) || !isLength(cut) || !isLength(toCut) || cut > toCut + ROUNDED) return undefined;
  return { phase: phase as CutterPhase, run, film, knife, strokes, used, cut, toCut, refusal };
}

/** What was sent to a cutter: its name, how many outlines it has, and how many were cut when it last told. */
interface Sent {
  readonly run: string;
  readonly all: number;
  readonly strokes: number;
}

/** Whether a cutter tells of a job what cannot be: more outlines than were sent, fewer than were cut before, or more film than lies in it. */
export const contradicts = ({ run, strokes, used, film }: CutterReport, sent: Sent): boolean =>
  run === sent.run && (strokes > sent.all || strokes < sent.strokes || (film !== undefined && used > film.length + ROUNDED));
