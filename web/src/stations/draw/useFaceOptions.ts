import { FACES } from '@kolleta/core/facts';
import { useWorkshop } from '../../storage/useWorkshop';

/** Faces to choose from: those that ship, and the user's own. */
export function useFaceOptions(): { value: string; label: string; group: string }[] {
  const { shop } = useWorkshop();
  return [
    ...FACES.map((face) => ({ value: face.id, label: face.name, group: face.family as string })),
    ...(shop.faces ?? []).map((face) => ({ value: face.id, label: face.name, group: 'your own' })),
  ];
}
