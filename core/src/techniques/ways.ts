import type { TechniqueId } from '../facts';
import type { Making } from '../job';
import { decal } from './decal';
import { etched } from './etched';
import { heat } from './heat';
import { mask } from './mask';
import { stencil } from './stencil';
import { written } from './written';
import type { TechniqueFile } from './technique';

type Ways = { readonly [T in TechniqueId]: TechniqueFile<Extract<Making, { technique: T }>> };

/** Every way to make a mark, one file each. */
const WAYS: Ways = { decal, stencil, mask, etched, heat, written };

/** The file of a way: it is handed no other making than its own, which its name tells. */
export const wayOf = ({ technique }: Making): TechniqueFile => WAYS[technique] as TechniqueFile;
