import { useParams } from 'react-router';
import { useWeather } from '../../api/queries.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { PlaceSheet } from './place-sheet.tsx';

export function PlaceEditScreen() {
  const { id } = useParams();
  const weather = useWeather();
  if (id === undefined) return <PlaceSheet place={null} />;
  if (weather.isPending) return <Loading what="the place" />;
  if (weather.isLoadingError) return <Failed error={weather.error} retry={weather.refetch} />;
  const place = weather.data.places.find((one) => one.id === id);
  if (!place)
    return <Failed error={new Error('Sabor has no such place. It may have been opened from an old link.')} />;
  return <PlaceSheet key={id} place={place} />;
}
