import { removeAt, setAt, type Piece, type Remedy } from '../job';

/** Ways to leave out what this job would put on a piece before film; none where something is on it already, which stays. */
export function leaveBare({ coat, sealedFirst, primed, painted }: Piece): Remedy[] {
  if (painted !== undefined) return [];
  const patch = [
    ...(coat === undefined ? [] : removeAt(['piece', 'coat'])),
    ...(primed ? removeAt(['piece', 'primed']) : []),
    ...(sealedFirst ? setAt(['piece', 'sealedFirst'], false) : []),
  ];
  if (patch.length === 0) return [];
  return [{ label: coat === undefined ? 'Leave it unsealed' : 'Leave it bare', patch }];
}
