import { MM3_PER_ML, outlined, type Solid } from './solid';

/**
 * A half-cylinder on its side, a log that is poured from its flat top. Its section is drawn across.
 *
 * Circular segment: A = r²·(φ − sin φ·cos φ), φ half its angle (Bronshtein, Semendyayev et al., Handbook of
 * Mathematics, section on plane figures; from memory).
 */
export function halfCylinder({ diameterMm, lengthMm }: { diameterMm: number; lengthMm: number }): Solid {
  const radius = diameterMm / 2;
  const half = (h: number) => Math.sqrt(Math.max(0, 2 * radius * h - h ** 2));
  const segment = (h: number) => {
    // Half the angle that the surface spans at the middle; written so that it keeps its digits close to the floor.
    const angle = Math.atan2(half(h), radius - h);
    return radius ** 2 * (angle - Math.sin(angle) * Math.cos(angle));
  };
  return outlined({
    depthMm: radius,
    volumeBelowMl: (h) => (segment(h) * lengthMm) / MM3_PER_ML,
    areaAtMm2: (h) => 2 * half(h) * lengthMm,
    outlineAt: (h) => ({ kind: 'rectangle', lengthMm, widthMm: 2 * half(h), cornerMm: 0 }),
  });
}
