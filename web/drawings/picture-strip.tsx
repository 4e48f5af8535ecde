import { Link } from 'react-router';

export interface StripPicture {
  /** Of the photograph. */
  id: string;
  to: string;
  /** What it shows, for whoever does not see it. */
  shows: string;
  title: string;
  note: string;
}

/** Photographs in a row, each with what is told of it; a tap opens it where it is measured. */
export function PictureStrip({ pictures }: { pictures: readonly StripPicture[] }) {
  return (
    <ul className="mt-1 flex gap-3 overflow-x-auto pb-2">
      {pictures.map(({ id, to, shows, title, note }) => (
        <li key={id} className="w-36 shrink-0">
          <Link to={to} className="block">
            <img
              src={`/api/photographs/${id}/image`}
              alt={shows}
              className="aspect-[6/7] w-full rounded-tag object-cover"
              loading="lazy"
            />
          </Link>
          <p className="text-sm">
            <span className="font-semibold">{title}</span>
            <span className="block text-soft">{note}</span>
          </p>
        </li>
      ))}
    </ul>
  );
}
