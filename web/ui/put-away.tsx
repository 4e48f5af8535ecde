import { useChange } from '../api/queries.ts';
import { post } from '../http/http.ts';
import { Button } from './button.tsx';
import { useSay } from './undo.tsx';

/** Puts a thing away, or brings it back; either can be undone. Nothing is ever deleted. */
export function PutAway({
  what,
  id,
  name,
  away,
  className = '',
}: {
  what: 'lines' | 'products' | 'places' | 'wearers' | 'routines' | 'recipes' | 'trials';
  id: string;
  name: string;
  away: boolean;
  className?: string;
}) {
  const say = useSay();
  const move = useChange((where: 'archive' | 'restore') => post(`/${what}/${id}/${where}`));
  const label = away ? 'Bring back' : 'Archive';
  const toggle = () =>
    move.mutate(away ? 'restore' : 'archive', {
      onSuccess: () =>
        say(`${name} is ${away ? 'back' : 'put away'}.`, () => move.mutate(away ? 'archive' : 'restore')),
      onError: (error) => say(error.message),
    });
  return (
    <Button look="quiet" className={className} onClick={toggle} aria-label={`${label} ${name}`}>
      {label}
    </Button>
  );
}
