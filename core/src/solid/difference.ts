import type { Cloud } from './types.ts';

/**
 * The difference of two solids, point by point: the set of all ways from a point of the second to a point of the first. The solids
 * meet where it holds the origin, and its nearest point to the origin is the way between them. Only its outermost point in a
 * direction is ever asked for.
 */
export class Difference {
  /** The outermost point that was asked for last, and where it lies on the two. */
  readonly at = new Float64Array(3);
  firstPoint = 0;
  secondPoint = 0;

  first: Cloud = this.at;
  second: Cloud = this.at;

  /** Where the origin is taken to be: elsewhere when it is asked how the difference looks from there. */
  readonly from = new Float64Array(3);

  of(first: Cloud, second: Cloud): this {
    this.first = first;
    this.second = second;
    return this.seenFrom(0, 0, 0);
  }

  seenFrom(x: number, y: number, z: number): this {
    this.from[0] = x;
    this.from[1] = y;
    this.from[2] = z;
    return this;
  }

  /** Goes to the outermost point along a direction; gives how far out that is, times the direction's length. */
  outermost(dx: number, dy: number, dz: number): number {
    const { first, second, at, from } = this;
    let far = -Infinity;
    let i = 0;
    for (let k = 0; k < first.length; k += 3) {
      const along = first[k]! * dx + first[k + 1]! * dy + first[k + 2]! * dz;
      if (along > far) {
        far = along;
        i = k;
      }
    }
    let near = Infinity;
    let j = 0;
    for (let k = 0; k < second.length; k += 3) {
      const along = second[k]! * dx + second[k + 1]! * dy + second[k + 2]! * dz;
      if (along < near) {
        near = along;
        j = k;
      }
    }
    this.firstPoint = i;
    this.secondPoint = j;
    at[0] = first[i]! - second[j]! - from[0]!;
    at[1] = first[i + 1]! - second[j + 1]! - from[1]!;
    at[2] = first[i + 2]! - second[j + 2]! - from[2]!;
    return far - near - (from[0]! * dx + from[1]! * dy + from[2]! * dz);
  }
}
