/** Up to four points of a difference, with where each lies on the two solids, and the point of their hull nearest to the origin. */
export class Simplex {
  size = 0;
  readonly points = new Float64Array(12);
  readonly firstPoints = new Int32Array(4);
  readonly secondPoints = new Int32Array(4);
  /** The weights of the points in the nearest one. */
  readonly weights = new Float64Array(4);
  /** The nearest point of the hull to the origin. */
  readonly nearest = new Float64Array(3);

  private readonly trial = new Float64Array(4);
  private readonly best = new Float64Array(4);

  add(at: Float64Array, firstPoint: number, secondPoint: number): void {
    const k = this.size;
    const { points } = this;
    points[k * 3] = at[0]!;
    points[k * 3 + 1] = at[1]!;
    points[k * 3 + 2] = at[2]!;
    this.firstPoints[k] = firstPoint;
    this.secondPoints[k] = secondPoint;
    this.size = k + 1;
  }

  has(firstPoint: number, secondPoint: number): boolean {
    for (let k = 0; k < this.size; k += 1)
      if (this.firstPoints[k] === firstPoint && this.secondPoints[k] === secondPoint) return true;
    return false;
  }

  /**
   * Finds the nearest point of the hull, and drops the points it does not need. Every corner, edge and face with the newest point in
   * it is tried (without it nothing were gained), and the whole; the nearest of what holds its own nearest point is taken.
   */
  reduce(): void {
    const { size, points, trial, best } = this;
    let least = Infinity;
    let bestSubset = 1 << (size - 1);
    for (let subset = 1 << (size - 1); subset < 1 << size; subset += 1) {
      if (!this.project(subset)) continue;
      let x = 0;
      let y = 0;
      let z = 0;
      for (let k = 0; k < size; k += 1) {
        const w = trial[k]!;
        x += w * points[k * 3]!;
        y += w * points[k * 3 + 1]!;
        z += w * points[k * 3 + 2]!;
      }
      const square = x * x + y * y + z * z;
      if (square < least) {
        least = square;
        bestSubset = subset;
        for (let k = 0; k < 4; k += 1) best[k] = trial[k]!;
        this.nearest[0] = x;
        this.nearest[1] = y;
        this.nearest[2] = z;
      }
    }
    let kept = 0;
    for (let k = 0; k < size; k += 1) {
      if ((bestSubset & (1 << k)) === 0) continue;
      for (let axis = 0; axis < 3; axis += 1) points[kept * 3 + axis] = points[k * 3 + axis]!;
      this.firstPoints[kept] = this.firstPoints[k]!;
      this.secondPoints[kept] = this.secondPoints[k]!;
      this.weights[kept] = best[k]!;
      kept += 1;
    }
    this.size = kept;
  }

  /** Weights of the point of a subset's plane, line or corner nearest to the origin; false where it lies outside the subset, or the subset is flat. */
  private project(subset: number): boolean {
    const { points: p, trial, size } = this;
    trial.fill(0);
    let a = -1;
    let b = -1;
    let c = -1;
    let d = -1;
    for (let k = 0; k < size; k += 1) {
      if ((subset & (1 << k)) === 0) continue;
      if (a < 0) a = k;
      else if (b < 0) b = k;
      else if (c < 0) c = k;
      else d = k;
    }
    if (b < 0) {
      trial[a] = 1;
      return true;
    }
    const ax = p[a * 3]!;
    const ay = p[a * 3 + 1]!;
    const az = p[a * 3 + 2]!;
    const ux = p[b * 3]! - ax;
    const uy = p[b * 3 + 1]! - ay;
    const uz = p[b * 3 + 2]! - az;
    const uu = ux * ux + uy * uy + uz * uz;
    const ua = -(ux * ax + uy * ay + uz * az);
    if (c < 0) {
      if (uu <= 0) return false;
      const s = ua / uu;
      trial[a] = 1 - s;
      trial[b] = s;
      return s > 0 && s < 1;
    }
    const vx = p[c * 3]! - ax;
    const vy = p[c * 3 + 1]! - ay;
    const vz = p[c * 3 + 2]! - az;
    const vv = vx * vx + vy * vy + vz * vz;
    const uv = ux * vx + uy * vy + uz * vz;
    const va = -(vx * ax + vy * ay + vz * az);
    if (d < 0) {
      const det = uu * vv - uv * uv;
      if (det <= 1e-14 * uu * vv) return false;
      const s = (ua * vv - va * uv) / det;
      const t = (va * uu - ua * uv) / det;
      trial[a] = 1 - s - t;
      trial[b] = s;
      trial[c] = t;
      return s > 0 && t > 0 && s + t < 1;
    }
    // The whole: does it hold the origin?
    const wx = p[d * 3]! - ax;
    const wy = p[d * 3 + 1]! - ay;
    const wz = p[d * 3 + 2]! - az;
    const cx = vy * wz - vz * wy;
    const cy = vz * wx - vx * wz;
    const cz = vx * wy - vy * wx;
    const det = ux * cx + uy * cy + uz * cz;
    const size3 = Math.sqrt(uu * vv * (wx * wx + wy * wy + wz * wz));
    if (Math.abs(det) <= 1e-12 * size3) return false;
    const s = -(ax * cx + ay * cy + az * cz) / det;
    const ex = uy * wz - uz * wy;
    const ey = uz * wx - ux * wz;
    const ez = ux * wy - uy * wx;
    const t = (ax * ex + ay * ey + az * ez) / det;
    const fx = uy * vz - uz * vy;
    const fy = uz * vx - ux * vz;
    const fz = ux * vy - uy * vx;
    const w = -(ax * fx + ay * fy + az * fz) / det;
    trial[a] = 1 - s - t - w;
    trial[b] = s;
    trial[c] = t;
    trial[d] = w;
    return s > 0 && t > 0 && w > 0 && s + t + w < 1;
  }
}
