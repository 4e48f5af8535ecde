import { PICTURES_OF_PRODUCT } from '@sabor/core/shelf/products';
import * as v from 'valibot';
import { id, oneOf } from './fields.ts';

/** A picture of a product's bottle or label, as it is sent; its bytes are the request's body. */
export const ProductPictureInput = v.object({
  id,
  productId: id,
  shows: oneOf(PICTURES_OF_PRODUCT, 'bottle or label'),
});

/** A picture as its product lists it. */
export const ProductPicture = v.strictObject({
  id,
  shows: oneOf(PICTURES_OF_PRODUCT, 'bottle or label'),
  takenAt: v.string(),
});
export type ProductPicture = v.InferOutput<typeof ProductPicture>;
