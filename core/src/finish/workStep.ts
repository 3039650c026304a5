// Longer than 300 lines: what steps and waits are about, a row a kind.
import type { BeforeCut, Kept, TestCutWhy } from '../cut';
import type {
  CautionId,
  CleaningId,
  Coat,
  CoatId,
  EdgeSealId,
  LabelId,
  Need,
  PaintToolId,
  PeelAt,
  PlacingId,
  Pressure,
  SandedFor,
  SealerId,
  StepKind,
  TapingId,
  TechniqueId,
} from '../facts';
import type { CutFrom, Id, JobId, PullAt, StationId, StepId, StepOf } from '../job';

/** What a wait is for; where it is for a coat to dry or cure, `coat` says which. */
export type WaitFor =
  | 'recoat'
  | 'recoatSoon'
  | 'bare'
  | 'labelDry'
  | 'filled'
  | 'washedDry'
  | 'sealedOver'
  | 'beforeSealer'
  | 'beforeFilm'
  | 'alcohol'
  | 'dustedOff'
  | 'washed'
  | 'tested'
  | 'backed'
  | 'weedSoon'
  | 'weeded'
  | 'taped'
  | 'placed'
  | 'stencilLaid'
  | 'edgeSealer'
  | PullAt
  | 'touchDry'
  | 'firm'
  | 'inkDry'
  | 'lifted'
  | 'pulled'
  | 'etched'
  | 'rinsed'
  | 'pressed'
  | 'cooled'
  | 'own';

/** Something that dries already when a job begins: a step does not begin before, UTC ms. */
export interface Opens {
  readonly at: number;
  readonly why: WaitFor;
  readonly coat: CoatId;
}

/** A time in which the room is another than usual, UTC ms: waits last so many times as long in it. */
export interface Pace {
  readonly from: number;
  readonly until: number;
  readonly slower: number;
}

/** How long after another step a step may begin, minutes. */
export interface Lag {
  readonly step: StepId;
  readonly least: number;
  readonly most?: number;
  /** What is waited for. */
  readonly why: WaitFor;
  readonly coat?: CoatId;
  /** What dries, where the room makes that faster or slower: the least wait, and the greatest too where that is one of drying. */
  readonly dries?: Coat['base'];
  readonly closesDry?: true;
  /** Where the room will be colder, warmer, drier or damper on some days. */
  readonly paces?: readonly Pace[];
  /** How many times as long as computed it is, where the log has taught so. */
  readonly learnt?: number;
}

/** The pieces of a job, as they are spoken of. */
export interface Pieces {
  readonly count: number;
  readonly name: string;
  readonly build?: 'joined' | 'apart';
  /** It stays where it is: a wall, on which the set goes. */
  readonly fixed?: boolean;
}

/** One layer of film of a mark; layered where the mark has others. */
export interface LayerAbout {
  readonly mark: string;
  readonly film: string;
  readonly layered: boolean;
  readonly count: number;
  /** What was lost of it and is cut again. */
  readonly again?: true;
}

/** What is weeded on each piece. */
export interface WeedingAbout {
  readonly kept: Kept;
  /** It is words, not a drawing. */
  readonly letters: boolean;
  readonly waste: number;
  readonly small: number;
  readonly onCarrier: boolean;
  /** It went through the machine on a cutting mat. */
  readonly mat?: true;
}

/** Cuts in the tape from its edge toward the middle, so that it follows a belly; lengths in mm. */
export interface SnipsAbout {
  readonly count: number;
  readonly length: number;
}

/** The tape for a layer, mm. */
export interface TapeAbout {
  readonly name: string;
  readonly pieces: number;
  readonly width: number;
  readonly height: number;
  readonly usesEach: number;
  /** Taken from the roll, mm. */
  readonly length: number;
  /** How often it is pressed on cloth first. */
  readonly dull: number;
  readonly taping: TapingId;
  readonly snips?: SnipsAbout;
}

/** How film is pressed on: °C, seconds of this press, how hard, and how it is peeled. */
export interface PressAbout {
  readonly celsius: number;
  readonly seconds: number;
  readonly pressure: Pressure;
  readonly peel: PeelAt;
}

/** A sheet or an offcut that a cut takes: mm along it and mm² of it. */
export interface TakenPiece {
  readonly from: CutFrom;
  readonly length: number;
  readonly area: number;
}

/** What beside the roll a film is cut from, and whether that holds all of it. */
export interface StepPiece {
  readonly kind: 'sheet' | 'offcut' | 'pieces';
  readonly all: boolean;
}

/** What a step is about, by its kind: all that its sentences are made from, which `words/` does. */
export type StepAbout =
  | { readonly kind: 'label'; readonly pieces: Pieces; readonly of: LabelId }
  | { readonly kind: 'sand'; readonly pieces: Pieces; readonly of?: SandedFor }
  | { readonly kind: 'scrape'; readonly pieces: Pieces }
  | { readonly kind: 'fill'; readonly pieces: Pieces }
  | { readonly kind: 'own'; readonly name: string; readonly pieces: Pieces }
  | { readonly kind: 'finish'; readonly name: string; readonly pieces: Pieces }
  | { readonly kind: 'sealOver'; readonly pieces: Pieces; readonly sealer: SealerId }
  | { readonly kind: 'stain'; readonly pieces: Pieces; readonly coat: CoatId; readonly nth?: readonly [number, number] }
  | { readonly kind: 'coat'; readonly pieces: Pieces; readonly coat: CoatId; readonly nth: readonly [number, number] }
  | { readonly kind: 'seal'; readonly pieces: Pieces; readonly first?: true }
  | {
      readonly kind: 'cut';
      readonly film: string;
      readonly taken: number;
      readonly first: boolean;
      readonly before?: BeforeCut;
      /** Film that is pressed on: it lies on its carrier, and is cut mirrored. */
      readonly hot?: true;
      /** A pen has written on it: it lies in the machine still. */
      readonly written?: true;
      /** What was lost of these marks is cut again. */
      readonly again?: readonly string[];
      /** It is cut from a sheet, an offcut or several pieces beside the roll: all of it, or as much as finds room there. */
      readonly piece?: StepPiece;
      /** It goes straight on from another cut of the same film, whose test cut is made. */
      readonly tested?: true;
    }
  | {
      readonly kind: 'testCut';
      readonly film: string;
      readonly machine: string;
      readonly why: TestCutWhy;
      /** Which film and which machine. */
      readonly of: { readonly film: Id; readonly machine: Id };
    }
  | { readonly kind: 'backFilm'; readonly film: string }
  | { readonly kind: 'write'; readonly film: string }
  | { readonly kind: 'weed'; readonly layer: LayerAbout; readonly weeding: WeedingAbout }
  | { readonly kind: 'tape'; readonly layer: LayerAbout; readonly tape?: TapeAbout }
  | { readonly kind: 'clean'; readonly pieces: Pieces; readonly cleaning: CleaningId }
  | {
      readonly kind: 'place';
      readonly pieces: Pieces;
      readonly mark: string;
      readonly technique: TechniqueId;
      readonly method: PlacingId;
      /** Its wall is rough: the tape is rubbed again while it is peeled. */
      readonly rough?: true;
      /** Height of a stop under the mark that makes all pieces equal, mm. */
      readonly stop?: number;
      /** How often it goes on a piece, and in how many parts that are placed by eye, where they are laid out apart. */
      readonly perPiece: number;
      readonly parts?: number;
      readonly slats: boolean;
      /** Its films, in the order in which they go down. */
      readonly films: readonly string[];
      /** Masked beyond the film, mm. */
      readonly mask?: number;
      /** With paper over all else. */
      readonly paper?: boolean;
      readonly snips?: SnipsAbout;
    }
  | {
      /** What was lost of a mark that is on its piece already. */
      readonly kind: 'putBack';
      readonly mark: string;
      readonly count: number;
      readonly taped: boolean;
      readonly hot: boolean;
    }
  | { readonly kind: 'trim'; readonly mark: string; readonly pieces: Pieces }
  | { readonly kind: 'edge'; readonly mark: string; readonly seal: EdgeSealId; readonly paint?: string }
  | {
      readonly kind: 'dab';
      readonly mark: string;
      readonly nth: readonly [number, number];
      readonly paint?: string;
      readonly tool: PaintToolId;
      /** In all, said with the first coat. */
      readonly millilitres: number;
    }
  | {
      /** All around a mask. */
      readonly kind: 'cover';
      readonly mark: string;
      readonly pieces: Pieces;
      readonly nth: readonly [number, number];
      readonly paint?: string;
      readonly tool: PaintToolId;
      readonly millilitres: number;
    }
  | {
      /** The letters of a mask, one by one. */
      readonly kind: 'pullLetters';
      readonly mark: string;
      readonly pullAt: PullAt;
      readonly letters: boolean;
      readonly count: number;
      readonly window: { readonly least: number; readonly most?: number };
    }
  | { readonly kind: 'touchUp'; readonly mark: string; readonly left: 'paint' | 'ground' }
  | {
      readonly kind: 'etch';
      readonly mark: string;
      readonly pieces: Pieces;
      readonly millilitres: number;
      readonly dwell: number;
      readonly most: number;
    }
  | { readonly kind: 'rinse'; readonly mark: string; readonly pieces: Pieces }
  | { readonly kind: 'prePress'; readonly pieces: Pieces; readonly seconds: number; readonly wood: boolean }
  | {
      readonly kind: 'press';
      readonly layer: LayerAbout;
      readonly pieces: Pieces;
      readonly press: PressAbout;
      /** Which of the films of the mark, the lowest first. */
      readonly nth: readonly [number, number];
      /** How often the plate comes down for one mark, side by side. */
      readonly presses: number;
      readonly rough: boolean;
    }
  | {
      readonly kind: 'pressBack';
      readonly mark: string;
      readonly pieces: Pieces;
      readonly seconds: number;
      readonly celsius: number;
      readonly back: boolean;
    }
  | {
      readonly kind: 'pull';
      readonly mark: string;
      readonly pullAt: PullAt;
      /** Minutes after the last coat. */
      readonly window: { readonly least: number; readonly most?: number };
    }
  | { readonly kind: 'pack'; readonly pieces: Pieces };

/** One thing to do, for the whole set at once. */
export interface WorkStep {
  readonly id: StepId;
  readonly job: JobId;
  readonly kind: StepKind;
  readonly station: StationId;
  readonly about: StepAbout;
  /** Minutes of hands, as the log has taught them. */
  readonly hands: number;
  /** As they were computed, where the log has taught otherwise. */
  readonly unlearned?: number;
  /** As far as it makes a difference to how long it takes and how it comes out. */
  readonly of?: StepOf;
  readonly needs: readonly Need[];
  readonly after: readonly Lag[];
  readonly opens?: Opens;
  readonly cautions: readonly CautionId[];
  /** May go on after a break; other steps are done in one go. */
  readonly mayPause: boolean;
  /** What is got ready for it first, and the minutes of its hands that this takes: a step that goes straight on with the same is spared them. */
  readonly setup?: { readonly key: string; readonly minutes: number };
  /** Cutting: the film and how much of it is taken. */
  readonly takes?: {
    readonly film: Id;
    /** mm of what it is cut from, mm² in all. */
    readonly length: number;
    readonly area: number;
    readonly from: CutFrom;
    /** Sheets and offcuts that are cut first. */
    readonly pieces?: readonly TakenPiece[];
  };
}

/** A wait after the last step of which the maker only has to know: first wash, full cure. */
export interface CareWait {
  readonly after: StepId;
  readonly minutes: number;
  /** A coat cures, or adhesive dwells where none is named. */
  readonly coat?: CoatId;
  /** What is allowed from then on. */
  readonly then: 'water' | 'firstWash' | 'clothWash';
  /** Whether the piece may be packed meanwhile. */
  readonly packed: boolean;
}

/** The steps of a job, each after those it waits for. */
export interface Recipe {
  readonly steps: readonly WorkStep[];
  readonly care: readonly CareWait[];
}
