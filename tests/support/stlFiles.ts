/** Corners of a box as triangles, seen from outside against the clock; nine figures each. */
export function boxSoup(length: number, width: number, height: number): number[][] {
  const corner = (x: number, y: number, z: number) => [x * length, y * width, z * height];
  const face = (...square: number[][]): number[][] => {
    const [a = [], b = [], c = [], d = []] = square;
    return [
      [...a, ...b, ...c],
      [...a, ...c, ...d],
    ];
  };
  return [
    ...face(corner(0, 0, 0), corner(0, 1, 0), corner(1, 1, 0), corner(1, 0, 0)),
    ...face(corner(0, 0, 1), corner(1, 0, 1), corner(1, 1, 1), corner(0, 1, 1)),
    ...face(corner(0, 0, 0), corner(1, 0, 0), corner(1, 0, 1), corner(0, 0, 1)),
    ...face(corner(0, 1, 0), corner(0, 1, 1), corner(1, 1, 1), corner(1, 1, 0)),
    ...face(corner(0, 0, 0), corner(0, 0, 1), corner(0, 1, 1), corner(0, 1, 0)),
    ...face(corner(1, 0, 0), corner(1, 1, 0), corner(1, 1, 1), corner(1, 0, 1)),
  ];
}

export function textStl(triangles: readonly (readonly number[])[]): Uint8Array {
  const facets = triangles.map((figures) => {
    const corners = [0, 3, 6].map((at) => `      vertex ${figures.slice(at, at + 3).join(' ')}\n`);
    return `  facet normal 0 0 0\n    outer loop\n${corners.join('')}    endloop\n  endfacet\n`;
  });
  return new TextEncoder().encode(`solid thing\n${facets.join('')}endsolid thing\n`);
}

export function binaryStl(triangles: readonly (readonly number[])[], header = 'a model'): Uint8Array {
  const bytes = new Uint8Array(84 + triangles.length * 50);
  bytes.set(new TextEncoder().encode(header));
  const view = new DataView(bytes.buffer);
  view.setUint32(80, triangles.length, true);
  triangles.forEach((figures, index) => {
    figures.forEach((figure, place) => {
      view.setFloat32(84 + index * 50 + 12 + place * 4, figure, true);
    });
  });
  return bytes;
}

/** A ball of so many triangles: rings of squares halved, closed at both poles. */
export function ballSoup(radius: number, rings: number): number[][] {
  const at = (ring: number, step: number) => {
    const [polar, round] = [(Math.PI * ring) / rings, (Math.PI * step) / rings];
    return [Math.sin(polar) * Math.cos(round), Math.sin(polar) * Math.sin(round), Math.cos(polar)].map(
      (figure) => figure * radius,
    );
  };
  const triangles: number[][] = [];
  for (let ring = 0; ring < rings; ring++) {
    for (let step = 0; step < 2 * rings; step++) {
      const next = (step + 1) % (2 * rings);
      const [a, b, c, d] = [at(ring, step), at(ring + 1, step), at(ring + 1, next), at(ring, next)];
      if (ring < rings - 1) triangles.push([...a, ...b, ...c]);
      if (ring > 0) triangles.push([...a, ...c, ...d]);
    }
  }
  return triangles;
}
