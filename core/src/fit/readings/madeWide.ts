import { setAt, type Mark, type Patch } from '../../job';

/**
 * The change that makes a mark another width: one that was stretched to a height of its own stays stretched as it was.
 *
 * @param now its width as it is, mm
 */
export function madeWide({ id, size }: Pick<Mark, 'id' | 'size'>, now: number, width: number): Patch {
  const height = size.mode === 'width' && size.height !== undefined ? Math.round(size.height * (width / now) * 100) / 100 : undefined;
  return setAt(['marks', id, 'size'], { mode: 'width', width, ...(height === undefined ? {} : { height }) });
}
