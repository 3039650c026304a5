import type { CutOutcome, TechniqueId } from '../facts';
import type { Region } from '../geometry';
import type { Shop } from '../job';

/** What is drawn with a question. */
export type Scene =
  | {
      /** A shape on its film, as it lies on the roll. */
      readonly kind: 'film';
      readonly region: Region;
      readonly technique: TechniqueId;
      readonly colour: string;
    }
  | {
      /** Film on a surface, the tape above it. */
      readonly kind: 'layers';
      readonly film: string;
      readonly colour: string;
      readonly on: string;
      readonly ground: string;
    }
  | {
      /** Test cuts so far, in the machine's own units. */
      readonly kind: 'ladder';
      readonly tests: readonly { readonly force: number; readonly outcome: CutOutcome }[];
      readonly colour: string;
    }
  | {
      /** A room, a coat, and the time since it was put on as it is chosen, minutes. */
      readonly kind: 'clock';
      readonly celsius: number;
      readonly humidity: number;
      readonly touchDry: number;
      readonly recoat: number;
    }
  | {
      /** A piece to scale with a mark whose size is chosen, mm. */
      readonly kind: 'size';
      readonly width: number;
      readonly height: number;
      readonly breathing: number;
      readonly region: Region;
    }
  | {
      /** Film beside what it is to be put on. */
      readonly kind: 'tones';
      readonly film: string;
      readonly piece: string;
    };

/** Something that is asked, with the answers that can be given. */
export type Ask =
  | { readonly kind: 'choose'; readonly answers: readonly { readonly id: string; readonly label: string }[] }
  | {
      readonly kind: 'slide';
      readonly least: number;
      readonly most: number;
      readonly start: number;
      readonly step: number;
      readonly unit: 'min' | 'mm';
    };

/** How an answer was, and why. */
export interface Judged {
  readonly right: boolean;
  readonly why: string;
  /** The answer that is best: its id, or where the slider should stand. */
  readonly best: string | number;
}

/** One round of a drill: plain data, and how an answer is judged. */
export interface Round {
  /** What it is about, as it is recorded: what is still guessed shows in it. */
  readonly topic: string;
  readonly question: string;
  readonly scene: Scene;
  readonly ask: Ask;
  readonly judge: (answer: string | number) => Judged;
}

/** A source of numbers from 0 to under 1: passed in, so that rounds can be told again. */
export type Random = () => number;

/** In which units a question is put. */
export type Units = Pick<Shop, 'lengths' | 'temperatures'>;

/** One of several, by chance. */
export const oneOf = <T>(items: readonly T[], random: Random): T => items[Math.floor(random() * items.length)]!;

/** A drill: the same computation as in the work, on pieces that cost nothing. */
export interface Drill {
  readonly name: string;
  readonly about: string;
  readonly round: (random: Random, units: Units) => Round;
}
