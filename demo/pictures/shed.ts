/** The colours and shape of one drawn shed. */
export interface ShedDrawing {
  readonly sky: string;
  readonly wall: string;
  readonly roof: string;
  readonly ground: string;
  readonly water?: string;
  /** From 0 to 11: moves doors, windows and the sun about. */
  readonly variant: number;
}

/** A workshop in a landscape, 960 by 640, drawn from its colours. The same drawing gives the same bytes. */
export function drawShed({ sky, wall, roof, ground, water, variant }: ShedDrawing): string {
  const sun = 120 + ((variant * 67) % 720);
  const left = 150 + ((variant * 31) % 120);
  const width = 300 + ((variant * 23) % 90);
  const eaves = 300 - ((variant * 17) % 50);
  const peak = eaves - 110 - ((variant * 13) % 40);
  const door = left + 40 + ((variant * 29) % 120);
  const annex = left + width;
  const windows = [0, 1, 2]
    .slice(0, 2 + (variant % 2))
    .map((i) => `<rect x="${annex + 30 + i * 74}" y="378" width="48" height="48" fill="#f4dd9c"/>`)
    .join('');
  const trees = [60, 880]
    .map(
      (x, i) =>
        `<path d="M${x} 470v-${60 + ((variant + i) % 4) * 14}" stroke="#5c4630" stroke-width="12"/><circle cx="${x}" cy="${380 - ((variant + i) % 3) * 16}" r="${46 + ((variant * (i + 2)) % 5) * 6}" fill="#7c8f5a"/>`,
    )
    .join('');
  const front = water
    ? `<path d="M0 560q120-24 240 0t240 0 240 0 240 0v80H0z" fill="${water}"/>`
    : `<path d="M330 640l70-150h70l70 150z" fill="#e6d3b0"/>`;
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 640" width="960" height="640">',
    `<rect width="960" height="640" fill="${sky}"/>`,
    `<circle cx="${sun}" cy="130" r="54" fill="#fbf3d9"/>`,
    `<path d="M0 470q240-70 480-20t480-10v200H0z" fill="${ground}"/>`,
    trees,
    `<rect x="${annex}" y="330" width="250" height="150" fill="${wall}" opacity=".82"/>`,
    `<path d="M${annex} 330h270l-30-40h-240z" fill="${roof}"/>`,
    windows,
    `<rect x="${left}" y="${eaves}" width="${width}" height="${480 - eaves}" fill="${wall}"/>`,
    `<path d="M${left - 34} ${eaves + 8}L${left + width / 2} ${peak}l${width / 2 + 34} ${eaves + 8 - peak}" fill="none" stroke="${roof}" stroke-width="26" stroke-linejoin="round"/>`,
    `<path d="M${left} ${eaves}l${width / 2}-${eaves - peak - 10} ${width / 2} ${eaves - peak - 10}z" fill="${wall}"/>`,
    `<rect x="${door}" y="360" width="84" height="120" fill="#f4dd9c"/>`,
    `<rect x="${door}" y="360" width="84" height="14" fill="${roof}"/>`,
    front,
    '</svg>',
    '',
  ].join('');
}
