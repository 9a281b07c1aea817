/** A workbench with tools on the wall, 960 by 640: the picture of the home page. */
export function drawBench(): string {
  const tools = [
    'M150 110v120M130 110h40v34h-40z',
    'M250 100v150M232 236q18 34 36 0',
    'M352 104l0 96M332 104h40l-20 22z',
    'M452 100q34 40 0 80t0 70',
    'M560 104v140M538 104h44',
    'M664 110a28 28 0 1 1 .1 0M664 166v84',
    'M776 100l-22 150M754 100l22 150',
  ];
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 640" width="960" height="640">',
    '<rect width="960" height="640" fill="#e8d5b5"/>',
    '<rect x="80" y="70" width="800" height="220" rx="6" fill="#cdb288"/>',
    `<g fill="none" stroke="#4a2f20" stroke-width="12" stroke-linecap="round" stroke-linejoin="round">${tools
      .map((d) => `<path d="${d}"/>`)
      .join('')}</g>`,
    '<rect x="60" y="400" width="840" height="44" rx="4" fill="#7a4a2b"/>',
    '<path d="M120 444v196M840 444v196" stroke="#5f3820" stroke-width="40"/>',
    '<rect x="180" y="336" width="150" height="64" rx="8" fill="#9a3b17"/>',
    '<circle cx="255" cy="368" r="20" fill="#f4dd9c"/>',
    '<path d="M430 400l34-70h70l34 70z" fill="#6f8f92"/><path d="M499 330v-44" stroke="#6f8f92" stroke-width="10"/>',
    '<circle cx="720" cy="344" r="56" fill="none" stroke="#20262b" stroke-width="12"/>',
    '<path d="M720 288v112M664 344h112M680 304l80 80M760 304l-80 80" stroke="#20262b" stroke-width="4"/>',
    '</svg>',
    '',
  ].join('');
}

/** People round a table, 960 by 640: the picture of the page about us. */
export function drawTable(): string {
  const people = [
    [220, '#9a3b17', '#8d5a3b'],
    [400, '#2f5d62', '#d9a878'],
    [580, '#7c8f5a', '#6b4329'],
    [760, '#b5803a', '#e7c09a'],
  ] as const;
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 640" width="960" height="640">',
    '<rect width="960" height="640" fill="#dfe3d4"/>',
    '<rect x="340" y="60" width="280" height="150" rx="4" fill="#f7efd8"/><path d="M480 60v150M340 135h280" stroke="#b8a98a" stroke-width="8"/>',
    ...people.map(
      ([x, coat, skin]) =>
        `<path d="M${x - 74} 440q0-130 74-130t74 130z" fill="${coat}"/><circle cx="${x}" cy="262" r="46" fill="${skin}"/>`,
    ),
    '<path d="M80 430h800l40 90H40z" fill="#a9713f"/><rect x="40" y="520" width="880" height="30" fill="#8a5a30"/>',
    '<rect x="300" y="440" width="110" height="46" rx="6" fill="#f4dd9c"/><circle cx="560" cy="466" r="26" fill="#6f8f92"/><path d="M660 480l60-34" stroke="#20262b" stroke-width="10" stroke-linecap="round"/>',
    '</svg>',
    '',
  ].join('');
}

/** What stands where no picture has been chosen yet, 960 by 640. */
export function drawPlaceholder(): string {
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 640" width="960" height="640">',
    '<rect width="960" height="640" fill="#e4d8c2"/><circle cx="650" cy="200" r="64" fill="#c9b58e"/>',
    '<path d="M180 470l200-230 150 170 90-90 160 150z" fill="#c9b58e"/>',
    '</svg>',
    '',
  ].join('');
}
