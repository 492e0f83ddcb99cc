import sharp from 'sharp';

/** Drawn, not taken: the demo shop has no camera. Each scene is an SVG that becomes a JPEG as a phone would send it. */
const metal = '#8d8f8a';
const dark = '#3b3f3f';
const bolt = (x: number, y: number, r = 15): string =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${dark}"/><polygon points="${[0, 1, 2, 3, 4, 5].map((i) => `${x + r * 0.7 * Math.cos((i * Math.PI) / 3)},${y + r * 0.7 * Math.sin((i * Math.PI) / 3)}`).join(' ')}" fill="#b9bab3"/>`;
const ring = (n: number, cx: number, cy: number, r: number): string =>
  Array.from({ length: n }, (_, i) =>
    bolt(cx + r * Math.cos((2 * Math.PI * i) / n - 1.2), cy + r * Math.sin((2 * Math.PI * i) / n - 1.2)),
  ).join('');

const scenes = {
  bell: `<rect width="1200" height="900" fill="#5b5a52"/><rect y="640" width="1200" height="260" fill="#46443d"/>
    <circle cx="600" cy="440" r="330" fill="${metal}"/><circle cx="600" cy="440" r="255" fill="#6f716c"/><circle cx="600" cy="440" r="80" fill="${dark}"/>${ring(8, 600, 440, 295)}
    <rect x="250" y="250" width="120" height="90" rx="10" fill="#77796f" transform="rotate(-24 310 295)"/>`,
  journal: `<rect width="1200" height="900" fill="#403d38"/><rect x="60" y="330" width="1080" height="240" rx="20" fill="#a9aaa5"/>
    ${[0, 1, 2, 3, 4, 5, 6].map((i) => `<rect x="${430 + i * 48}" y="335" width="${i === 3 ? 9 : 4}" height="230" fill="${i === 3 ? '#5d4a40' : '#83857f'}"/>`).join('')}
    <rect x="60" y="300" width="300" height="300" rx="16" fill="#777974"/><rect x="860" y="300" width="280" height="300" rx="16" fill="#777974"/>`,
  bay: `<rect width="1200" height="900" fill="#6b675c"/><path d="M140 900 L240 260 H960 L1060 900 Z" fill="#39403f"/><rect x="330" y="330" width="540" height="360" rx="24" fill="${metal}"/>
    ${[0, 1, 2, 3].map((i) => `<rect x="${370 + i * 118}" y="360" width="86" height="120" rx="10" fill="#5a5d58"/>`).join('')}<circle cx="280" cy="560" r="70" fill="#777a73"/><circle cx="280" cy="560" r="26" fill="${dark}"/>
    <path d="M870 420 C980 420 980 620 900 640" stroke="#22282a" stroke-width="34" fill="none"/>`,
} as const;
export type Scene = keyof typeof scenes;

export const draw = (scene: Scene): Promise<Buffer> =>
  sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900">${scenes[scene]}</svg>`))
    .jpeg({ quality: 82 })
    .toBuffer();
