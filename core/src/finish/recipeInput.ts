import type { Climate, CutFrom, Id, Job, Mark, Paint } from '../job';
import type { BeforeCut, SnipsAbout, TapeAbout, WeedingAbout } from './workStep';

/** What earlier stations found out about one layer of one mark. */
export interface RecipeLayer {
  readonly mark: Mark;
  readonly film: { readonly id: Id; readonly name: string };
  readonly width: number;
  readonly height: number;
  /** mm² of shapes. */
  readonly area: number;
  /** Height of its lower edge above the foot, mm. */
  readonly foot: number;
  readonly cutMinutes: number;
  /** mm of film taken for the whole set. */
  readonly taken: number;
  /** Across the film, mm; and what it is cut from. */
  readonly filmWidth: number;
  readonly from: CutFrom;
  readonly before?: BeforeCut;
  readonly weedMinutes: number;
  readonly weeding: WeedingAbout;
  /** None where no tape in stock works. */
  readonly tape?: TapeAbout;
  /** On a belly, where the tape does not follow by itself. */
  readonly snips?: SnipsAbout;
  /** How often the mark goes on a piece. */
  readonly perPiece: number;
  /** In how many parts it is lifted and placed, where they are laid out apart; else 1. */
  readonly parts: number;
}

export interface RecipeInput {
  readonly job: Job;
  readonly layers: readonly RecipeLayer[];
  readonly climate: Climate;
  readonly paints: readonly Paint[];
}
