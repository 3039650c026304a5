import { LABEL, TECHNIQUES } from '../facts';
import { growBox, type Box } from '../geometry';
import type { Mark } from '../job';

/** The box of what is put down on the piece: of a written label its plate, else the mark itself; mm. */
export const placedBox = ({ technique }: Pick<Mark, 'technique'>, box: Box): Box =>
  TECHNIQUES[technique].penned ? growBox(box, LABEL.margin) : box;
