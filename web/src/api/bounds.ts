import { BOUNDS } from "./bounds.gen";

type Bounds = typeof BOUNDS;

/** The maximum number of items of a list in a request. */
export function maxItems<Schema extends keyof Bounds>(schema: Schema, field: keyof Bounds[Schema]): number {
  const { maxItems = Number.POSITIVE_INFINITY }: { maxItems?: number } = BOUNDS[schema][field] ?? {};
  return maxItems;
}

/** The least number of characters of a field in a request. */
export function minLength<Schema extends keyof Bounds>(schema: Schema, field: keyof Bounds[Schema]): number {
  const { minLength = 0 }: { minLength?: number } = BOUNDS[schema][field] ?? {};
  return minLength;
}

/** The bounds of a form field as the inputs of Ant Design take them: of a text maxLength, of a number min and max. */
export function bounds<Schema extends keyof Bounds>(schema: Schema, field: keyof Bounds[Schema]) {
  const { minimum, maximum, maxLength }: { minimum?: number; maximum?: number; maxLength?: number } =
    BOUNDS[schema][field] ?? {};
  return {
    ...(maxLength !== undefined && { maxLength }),
    ...(minimum !== undefined && { min: minimum }),
    ...(maximum !== undefined && { max: maximum }),
  };
}

/** The shortest and longest time of a field, in seconds. */
export function timeBounds<Schema extends keyof Bounds>(schema: Schema, field: keyof Bounds[Schema]) {
  const { minimum = 0, maximum = 3600 }: { minimum?: number; maximum?: number } = BOUNDS[schema][field] ?? {};
  return { min: minimum, max: maximum };
}
