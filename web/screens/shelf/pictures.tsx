import type { Product } from '@sabor/contract/shelf';
import { PICTURES_OF_PRODUCT } from '@sabor/core/shelf/products';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useChange } from '../../api/queries.ts';
import { remove, sendPicture } from '../../http/http.ts';
import { fitPicture } from '../../offline/photo-box.ts';
import { Button } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

type Shows = keyof typeof PICTURES_OF_PRODUCT;

/** Pictures of a product's bottle and label; what they say of place and maker is left out. */
export function Pictures({ product }: { product: Product }) {
  const say = useSay();
  const [problem, setProblem] = useState<string | null>(null);
  const add = useChange(async ({ file, shows }: { file: File; shows: Shows }) => {
    const { blob } = await fitPicture(file);
    await sendPicture(`/product-pictures/${v7()}?productId=${product.id}&shows=${shows}`, blob);
  });
  const takeAway = useChange((id: string) => remove(`/product-pictures/${id}`));
  const send = (shows: Shows) => (file: File) => {
    setProblem(null);
    add.mutate(
      { file, shows },
      {
        onSuccess: () => say(`The picture of the ${shows} is kept.`),
        onError: (error) => setProblem(error.message),
      },
    );
  };
  return (
    <section aria-labelledby="pictures" className="mt-8 max-w-3xl">
      <h2 id="pictures" className="mb-2 text-xl">
        Pictures
      </h2>
      {product.pictures.length > 0 && (
        <ul className="mb-3 flex flex-wrap gap-4">
          {product.pictures.map(({ id, shows, takenAt }) => (
            <li key={id}>
              <a href={`/api/product-pictures/${id}/image`} target="_blank" rel="noreferrer">
                <img
                  src={`/api/product-pictures/${id}/image`}
                  alt={`${PICTURES_OF_PRODUCT[shows].label} of ${product.name}`}
                  className="h-40 rounded-tag border border-rule object-cover"
                  loading="lazy"
                />
              </a>
              <span className="flex items-center justify-between gap-2 text-sm text-soft">
                {PICTURES_OF_PRODUCT[shows].label}, {showDate(takenAt.slice(0, 10))}
                <Button
                  look="quiet"
                  aria-label={`Remove the picture of the ${shows} of ${showDate(takenAt.slice(0, 10))}`}
                  onClick={() => takeAway.mutate(id)}
                >
                  Remove
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-3">
        <FileField
          label="Add one of the bottle"
          accept="image/*"
          disabled={add.isPending}
          onChoose={send('bottle')}
        />
        <FileField
          label="Add one of the label"
          accept="image/*"
          disabled={add.isPending}
          onChoose={send('label')}
        />
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-sm font-semibold text-brick">
          {problem}
        </p>
      )}
    </section>
  );
}
