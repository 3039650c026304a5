import type { BeforeCut } from '../cut';
import type { Climate, CutFrom, Id, Job, Mark, Paint, Press, Pressing } from '../job';
import type { SnipsAbout, StepPiece, TakenPiece, TapeAbout, WeedingAbout } from './workStep';

/** One layer of one mark as it is drawn and fitted. */
export interface FittedLayer {
  readonly mark: Mark;
  readonly film: { readonly id: Id; readonly name: string };
  readonly width: number;
  readonly height: number;
  /** mm² of shapes. */
  readonly area: number;
  /** How often the mark goes on a piece. */
  readonly perPiece: number;
  /** Its shapes: how many, and the least of them, mm². */
  readonly shapes: { readonly count: number; readonly least: number };
  /** Another layer of the mark lies on part of it. */
  readonly covered?: boolean;
  /** How it is pressed on, of heat-applied film. */
  readonly press?: Pressing;
}

/** What earlier stations found out about one layer of one mark. */
export interface RecipeLayer extends FittedLayer {
  /** Height of its lower edge above the foot, mm. */
  readonly foot: number;
  readonly cutMinutes: number;
  /** Minutes until what a pen wrote on it is dry. */
  readonly inkDries?: number | undefined;
  /** mm of film taken for the whole set, and mm² of all layers of that film; of what it is cut, and where that is no roll by itself. */
  readonly taken: number;
  readonly filmArea: number;
  readonly from: CutFrom;
  readonly piece?: StepPiece;
  readonly pieces?: readonly TakenPiece[];
  readonly before?: BeforeCut;
  readonly weedMinutes: number;
  readonly weeding: WeedingAbout;
  /** None where no tape in stock works. */
  readonly tape?: TapeAbout;
  /** On a belly, where the tape does not follow by itself. */
  readonly snips?: SnipsAbout;
  /** In how many parts it is lifted and placed, where they are laid out apart; else 1. */
  readonly parts: number;
}

export interface RecipeInput {
  readonly job: Job;
  readonly layers: readonly RecipeLayer[];
  readonly climate: Climate;
  readonly paints: readonly Paint[];
  readonly presses?: readonly Press[];
}
