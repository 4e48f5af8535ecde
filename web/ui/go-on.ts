import { type DataRouter, useNavigate } from 'react-router';

/** The page last asked for: the one that shows, or the one still on its way. */
let asked: string | undefined;

/** Follows where the person goes. Called once, as the router is made. */
export function followMoves(router: DataRouter): void {
  const note = ({ location, navigation }: DataRouter['state']) => {
    asked = (navigation.location ?? location).pathname;
  };
  note(router.state);
  router.subscribe(note);
}

/**
 * The way on once something is saved: `const goOn = begin()` as it is sent, `goOn(to)` as the answer
 * comes. Whoever went elsewhere meanwhile stays there.
 */
export function useGoOn(): () => (to: string) => void {
  const navigate = useNavigate();
  return () => {
    const from = asked;
    return (to) => {
      if (asked === from) void navigate(to);
    };
  };
}
