import type { Schema } from '../api/client';

export type Part = Schema['PartView']['part'];
export type Build = Schema['AnimalView']['build'];

/** A part as it is drawn: its outline, and where its name stands. */
export interface Drawn {
  part: Part;
  path: string;
  at: [number, number];
  /** Written into the outline where there is room. */
  word?: string;
}

/** The left half of an animal that lies on its belly, seen from above; the other half is its mirror. */
const MIDDLE = 150;

/** The same outline on the other side of the spine. Paths here use absolute M, L, C, Q and Z only. */
export function mirrored(path: string): string {
  let isX = true;
  return path.replace(/-?\d+(?:\.\d+)?|[MLCQZ]/g, (token) => {
    if (/[MLCQZ]/.test(token)) {
      isX = true;
      return token;
    }
    const text = isX ? String(2 * MIDDLE - Number(token)) : token;
    isX = !isX;
    return text;
  });
}

const both = (left: Part, right: Part, path: string, at: [number, number], word: string): Drawn[] => [
  { part: left, path, at, word },
  { part: right, path: mirrored(path), at: [2 * MIDDLE - at[0], at[1]], word },
];

const pair = (part: Part, path: string, at: [number, number], word?: string): Drawn => ({
  part,
  path: `${path} ${mirrored(path)}`,
  at,
  word,
});

const hoofed: Drawn[] = [
  {
    part: 'NECK',
    path: 'M134 14 C140 4 160 4 166 14 L180 74 L120 74 Z',
    at: [150, 50],
    word: 'neck',
  },
  {
    part: 'SADDLE',
    path: 'M120 74 L180 74 C186 130 184 190 176 240 L124 240 C116 190 114 130 120 74 Z',
    at: [150, 128],
    word: 'saddle',
  },
  ...both(
    'LEFT_SHOULDER',
    'RIGHT_SHOULDER',
    'M119 76 C96 76 70 92 60 124 C58 140 66 154 78 158 L116 152 C115 126 116 100 119 76 Z',
    [90, 122],
    'shoulder',
  ),
  ...both(
    'LEFT_RIBS',
    'RIGHT_RIBS',
    'M78 160 L116 154 C117 184 119 212 123 238 L96 242 C76 222 70 190 78 160 Z',
    [97, 202],
    'ribs',
  ),
  ...both(
    'LEFT_HAUNCH',
    'RIGHT_HAUNCH',
    'M96 244 L124 242 L149 242 L149 306 C132 318 104 312 88 290 C78 276 82 256 96 244 Z',
    [116, 280],
    'haunch',
  ),
  pair(
    'FORE_SHANKS',
    'M58 126 C44 146 34 170 26 206 L44 210 C50 184 60 168 74 158 C64 152 58 140 58 126 Z',
    [45, 176],
  ),
  pair(
    'HIND_SHANKS',
    'M87 292 C72 306 62 326 58 352 L78 354 C84 334 96 318 112 310 C102 308 94 302 87 292 Z',
    [78, 330],
  ),
  {
    part: 'TENDERLOINS',
    path: 'M142 176 C138 196 138 214 142 230 C147 214 147 196 142 176 Z M158 176 C162 196 162 214 158 230 C153 214 153 196 158 176 Z',
    at: [150, 204],
  },
];

const bird: Drawn[] = [
  {
    part: 'FRAME',
    path: 'M150 30 C196 30 226 70 232 120 C262 128 280 150 286 186 C256 186 238 178 226 168 C226 236 196 292 150 314 C104 292 74 236 74 168 C62 178 44 186 14 186 C20 150 38 128 68 120 C74 70 104 30 150 30 Z',
    at: [150, 62],
    word: 'carcass',
  },
  ...both(
    'LEFT_BREAST',
    'RIGHT_BREAST',
    'M148 84 C112 84 92 112 92 152 C92 192 116 220 148 232 Z',
    [122, 158],
    'breast',
  ),
  ...both(
    'LEFT_LEG',
    'RIGHT_LEG',
    'M118 226 C98 232 86 252 88 276 C90 300 78 322 66 344 L84 350 C98 330 112 308 132 292 C146 278 142 240 118 226 Z',
    [106, 266],
    'leg',
  ),
];

const fish: Drawn[] = [
  {
    part: 'BACKBONE',
    path: 'M142 24 L158 24 C160 110 160 200 158 282 C180 300 200 320 212 346 L150 330 L88 346 C100 320 120 300 142 282 C140 200 140 110 142 24 Z',
    at: [150, 316],
    word: 'frame',
  },
  ...both(
    'LEFT_LOIN',
    'RIGHT_LOIN',
    'M139 26 C112 34 100 90 102 150 C104 206 118 250 139 276 C137 200 137 110 139 26 Z',
    [120, 150],
    'loin',
  ),
  ...both(
    'LEFT_BELLY',
    'RIGHT_BELLY',
    'M126 34 C84 44 56 96 58 152 C60 204 84 244 118 262 C106 230 99 196 98 150 C97 104 106 60 126 34 Z',
    [78, 150],
    'belly',
  ),
  { part: 'SCRAPED', path: 'M145 120 L155 120 L155 230 L145 230 Z', at: [150, 176] },
];

export const animals: Record<Build, Drawn[]> = { HOOFED: hoofed, BIRD: bird, FISH: fish };
