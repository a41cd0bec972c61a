import { roundSolid, type Solid } from './solid';

/** Cylinder: V = π·r²·h. */
export function cylinder({ diameterMm, depthMm }: { diameterMm: number; depthMm: number }): Solid {
  const radius = diameterMm / 2;
  return roundSolid(
    depthMm,
    () => radius,
    (h) => Math.PI * radius ** 2 * h,
  );
}

/**
 * Frustum of a cone: V = π·h·(R² + R·r + r²)/3 (Bronshtein, Semendyayev et al., Handbook of Mathematics, section on
 * solids; from memory).
 */
export function frustum(shape: { floorDiameterMm: number; diameterMm: number; depthMm: number }): Solid {
  const floor = shape.floorDiameterMm / 2;
  const lean = (shape.diameterMm / 2 - floor) / shape.depthMm;
  const radius = (h: number) => floor + lean * h;
  return roundSolid(
    shape.depthMm,
    radius,
    (h) => (Math.PI * h * (floor ** 2 + floor * radius(h) + radius(h) ** 2)) / 3,
  );
}

/** Spherical cap: V = π·h²·(3r − h)/3 (the same handbook). */
function ball(radius: number, depthMm: number): Solid {
  return roundSolid(
    depthMm,
    (h) => Math.sqrt(Math.max(0, radius ** 2 - (radius - h) ** 2)),
    (h) => (Math.PI * h ** 2 * (3 * radius - h)) / 3,
  );
}

export function hemisphere({ diameterMm }: { diameterMm: number }): Solid {
  return ball(diameterMm / 2, diameterMm / 2);
}

/** A ball in two halves that are clamped together, filled through a hole at the top. */
export function sphere({ diameterMm }: { diameterMm: number }): Solid {
  return ball(diameterMm / 2, diameterMm);
}
