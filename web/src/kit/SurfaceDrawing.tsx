import Box from '@mui/material/Box';
import { useId, type ReactNode } from 'react';
import type { Schema } from '../api/client';
import { blend, scattered, type Spot } from './surface';

type Appearance = Schema['Appearance'];
type Mould = keyof Appearance['moulds'];

interface Props {
  appearance: Appearance;
  /** Width in px; it is three quarters as high. */
  width: number;
  /** Read out instead of the picture; left out where words beside it say the same. */
  title?: string;
}

const OUTLINE =
  'M14 20C30 8 52 11 74 9C98 7 126 6 142 17C156 27 154 48 153 64C152 84 150 100 136 109C116 119 92 113 70 115C48 117 24 118 13 106C3 94 7 76 7 58C7 43 4 29 14 20Z';

const CAP =
  'M14 20C30 8 52 11 74 9C98 7 126 6 142 17C147 21 150 26 151 32C118 24 54 27 8 41C8 34 9 25 14 20Z';

const RED = '#a5302f';
const DARK = '#571a1c';
const BARK = '#4a3226';
const PALE = '#9a9088';
const SHEEN = '#5c7a4c';
const FRESH_FAT = '#efe3c8';
const OLD_FAT = '#c9ab6b';

/** Where something may lie. */
const FIELD = { left: 16, top: 40, width: 126, height: 68 };

/**
 * The outside of a piece as it lies there, drawn from its numbers. Each mould has a form of its own, so that it is told
 * apart without colour: powder, rings with a pale rim, rings with a dark middle, specks, a film with a soft edge, hair.
 */
export function SurfaceDrawing({ appearance: seen, width, title }: Props) {
  const dried = blend(blend(RED, DARK, seen.dark), BARK, seen.brown);
  const meat = blend(blend(dried, PALE, seen.grey), SHEEN, seen.green);
  const fat = blend(FRESH_FAT, OLD_FAT, Math.max(seen.brown, 0.4 * seen.dark));
  const clip = useId();
  return (
    <Box
      component="svg"
      viewBox="0 0 160 124"
      role={title ? 'img' : undefined}
      aria-label={title}
      aria-hidden={title ? undefined : true}
      sx={{ width, maxWidth: '100%', aspectRatio: '160 / 124', display: 'block', flexShrink: 0 }}
    >
      <clipPath id={clip}>
        <path d={OUTLINE} />
      </clipPath>
      <path d={OUTLINE} fill={meat} stroke="var(--mui-palette-text-secondary)" strokeWidth={1.4} />
      <g clipPath={`url(#${clip})`}>
        <Grain colour={blend(meat, '#ffffff', 0.22)} />
        <path d={CAP} fill={fat} />
        <Leather much={seen.leather} />
        <Rind much={seen.leather} />
        {seen.bloodshot && <Bloodshot />}
        {seen.fold && <Fold />}
        <Pockets share={seen.pockets} />
        {(Object.keys(seen.moulds) as Mould[]).map((mould) => (
          <Growth key={mould} mould={mould} share={seen.moulds[mould] ?? 0} />
        ))}
        <Cover cover={seen.cover} />
        <Imprint much={seen.imprint} />
        <Gloss much={seen.gloss} />
        <Slime much={seen.slime} />
      </g>
      <Syrup much={seen.syrup} />
      {seen.film && <Film lifted={seen.lifted} open={seen.sealOpen} blown={seen.gas} clip={clip} />}
    </Box>
  );
}

/** A seal of fat hides all of it; through a cloth what grows can be seen. */
function Cover({ cover }: { cover: Appearance['cover'] }) {
  switch (cover) {
    case 'NONE':
      return null;
    case 'FAT':
      return (
        <g>
          <path d={OUTLINE} fill="#efe3c8" />
          <g fill="none" stroke="#c9b283" strokeWidth={2} strokeLinecap="round">
            {scattered(97, 16, { left: 14, top: 18, width: 118, height: 84 }).map(({ x, y, size }, index) => (
              <path key={index} d={`M${x} ${y}q${8 + 8 * size} -${4 + 4 * size} ${18 + 8 * size} 1`} />
            ))}
          </g>
        </g>
      );
    case 'CLOTH':
      return (
        <g>
          <path d={OUTLINE} fill="#b9a58a" fillOpacity={0.6} />
          <g stroke="#7d6a52" strokeWidth={0.7} opacity={0.8}>
            {Array.from({ length: 20 }, (_, line) => (
              <path key={line} d={`M0 ${line * 7}h160M${line * 8.4} 0v124`} />
            ))}
          </g>
        </g>
      );
  }
}

function Grain({ colour }: { colour: string }) {
  return (
    <g stroke={colour} strokeWidth={1.1} strokeLinecap="round" fill="none" opacity={0.5}>
      {scattered(11, 26, FIELD).map(({ x, y, size }, index) => (
        <path key={index} d={`M${x} ${y}q${4 + 5 * size} ${-3 + 4 * size} ${9 + 7 * size} ${1 - size}`} />
      ))}
    </g>
  );
}

/** Cracks, as on a belt. */
function Leather({ much }: { much: number }) {
  const count = Math.round(34 * Math.max(0, much - 0.1));
  return (
    <g stroke="#1c100b" strokeWidth={0.9} fill="none" opacity={0.2 + 0.5 * much}>
      {scattered(5, count, FIELD).map(({ x, y, size }, index) => (
        <path key={index} d={`M${x} ${y}l${5 + 6 * size} ${3 - 6 * size}l${4 * size} ${4}`} />
      ))}
    </g>
  );
}

/** The dried edge stands darker. */
function Rind({ much }: { much: number }) {
  return <path d={OUTLINE} fill="none" stroke="#1c100b" strokeWidth={9 * much} opacity={0.35 * much} />;
}

function Bloodshot() {
  return (
    <g>
      {scattered(23, 9, { left: 88, top: 60, width: 42, height: 32 }).map(({ x, y, size }, index) => (
        <path
          key={index}
          d={`M${x} ${y}q${6 * size + 3} -5 ${9 * size + 5} 1q-3 ${6 * size + 3} -${8 * size + 4} 4z`}
          fill="#2b0509"
          opacity={0.75}
        />
      ))}
      <ellipse cx={52} cy={76} rx={12} ry={8} fill="#b9aa94" stroke="#241918" strokeWidth={1} />
      <path d="M45 75q7 -4 14 1M46 79q6 2 12 0" stroke="#6e6253" strokeWidth={1} fill="none" />
    </g>
  );
}

function Fold() {
  return (
    <g>
      <path d="M44 66q28 -13 62 3q-30 15 -62 -3z" fill="#1a0608" />
      <path d="M44 66q28 -13 62 3" fill="none" stroke="#c46a5f" strokeWidth={2.4} strokeLinecap="round" />
    </g>
  );
}

/** Dark and soft, with a wet edge. */
function Pockets({ share }: { share: number }) {
  return (
    <g>
      {scattered(31, Math.round(14 * share), FIELD).map(({ x, y, size }, index) => (
        <ellipse
          key={index}
          cx={x}
          cy={y}
          rx={9 + 8 * size}
          ry={6 + 5 * size}
          fill="#1b100c"
          stroke="#6b6a3a"
          strokeWidth={1.6}
          strokeDasharray="2.5 2"
          opacity={0.88}
        />
      ))}
    </g>
  );
}

/** So many spots that together they cover the share. */
const patches = (seed: number, share: number, most: number): Spot[] =>
  scattered(seed, Math.max(share > 0 ? 2 : 0, Math.round(most * share)), FIELD);

function Growth({ mould, share }: { mould: Mould; share: number }) {
  switch (mould) {
    case 'WHITE_POWDER':
      return (
        <g fill="#f6f1e4">
          {patches(41, share, 34).map(({ x, y, size }, index) => (
            <g key={index}>
              <circle cx={x} cy={y} r={4 + 6 * size} opacity={0.3} />
              {scattered(50 + index, 14, {
                left: x - 9,
                top: y - 7,
                width: 18,
                height: 14,
              }).map((grain, each) => (
                <circle key={each} cx={grain.x} cy={grain.y} r={0.5 + 0.7 * grain.size} opacity={0.95} />
              ))}
            </g>
          ))}
        </g>
      );
    case 'GREEN':
      return <Rings spots={patches(61, share, 22)} rim="#dfe3cf" body="#6f8a57" middle="#4d6a3a" />;
    case 'BLUE':
      return <Rings spots={patches(67, share, 22)} rim="#8da3b0" body="#4e6f86" middle="#1d3346" />;
    case 'BLACK':
      return (
        <g fill="#0b0908">
          {patches(71, share, 300).map(({ x, y, size }, index) => (
            <circle key={index} cx={x} cy={y} r={0.8 + 1.5 * size} />
          ))}
        </g>
      );
    case 'PINK':
      return (
        <g>
          {patches(73, share, 18).map(({ x, y, size }, index) => (
            <path
              key={index}
              d={`M${x - 12 - 6 * size} ${y}q8 -${8 + 5 * size} ${18 + 6 * size} -3t4 ${10 + 4 * size}q-14 6 -${22 + 6 * size} -7z`}
              fill="#e39a94"
              opacity={0.72}
            />
          ))}
        </g>
      );
    case 'HAIRY':
      return (
        <g stroke="#d8d6cb" strokeWidth={0.8} strokeLinecap="round" fill="none">
          {patches(79, share, 26).map(({ x, y, size }, index) => (
            <g key={index}>
              {Array.from({ length: 16 }, (_, hair) => {
                const angle = (hair / 16) * 2 * Math.PI;
                const long = 5 + 6 * size + (hair % 3) * 2;
                const toX = x + Math.cos(angle) * long;
                const toY = y + Math.sin(angle) * long - 3;
                return (
                  <path
                    key={hair}
                    d={`M${x} ${y}Q${x + Math.cos(angle) * 3} ${y + Math.sin(angle) * 3 - 4} ${toX} ${toY}`}
                  />
                );
              })}
              <circle cx={x} cy={y} r={1.6} fill="#8f8d80" stroke="none" />
            </g>
          ))}
        </g>
      );
  }
}

function Rings({ spots, rim, body, middle }: { spots: Spot[]; rim: string; body: string; middle: string }) {
  return (
    <g>
      {spots.map(({ x, y, size }, index) => (
        <g key={index}>
          <circle cx={x} cy={y} r={6 + 5 * size} fill={rim} />
          <circle cx={x} cy={y} r={4.4 + 4 * size} fill={body} />
          <circle cx={x} cy={y} r={1.6 + 1.8 * size} fill={middle} />
        </g>
      ))}
    </g>
  );
}

/** The folds of the film, printed on the meat. */
function Imprint({ much }: { much: number }) {
  return (
    <g stroke="#2a0f10" strokeWidth={0.9} fill="none" opacity={0.4 * much}>
      <path d="M10 58q40 12 72 -4t70 6M12 86q50 -14 84 4t54 -8M48 38q-6 36 4 74M104 34q8 30 -4 78" />
    </g>
  );
}

function Gloss({ much }: { much: number }) {
  return (
    <g fill="#ffffff" opacity={0.75 * Math.max(0, much - 0.08)}>
      <path d="M30 52q22 -10 46 -5q-24 3 -44 12z" />
      <path d="M92 46q20 -3 38 6q-18 -1 -36 3z" />
      <path d="M24 92q16 -6 32 -1q-16 1 -31 6z" />
    </g>
  );
}

/** A skin that runs and draws threads. */
function Slime({ much }: { much: number }) {
  if (much <= 0) {
    return null;
  }
  return (
    <g opacity={0.35 + 0.5 * much}>
      <path d="M6 74q18 -8 34 2t36 -2t36 4t42 -4v50h-148z" fill="#b9b48a" opacity={0.55} />
      <g fill="none" stroke="#e4e0bf" strokeWidth={1.8} strokeLinecap="round">
        <path d="M34 80q2 14 -1 28M62 84q-3 12 0 26M96 82q2 12 -1 26M122 82q-2 12 1 22" />
      </g>
      <path d="M20 78q26 6 54 -1" fill="none" stroke="#fffdf0" strokeWidth={2.2} strokeLinecap="round" />
    </g>
  );
}

/** Drops that hang below it. */
function Syrup({ much }: { much: number }) {
  if (much <= 0) {
    return null;
  }
  return (
    <g fill="#a9621d" opacity={0.55 + 0.4 * much}>
      <path d="M22 96q24 10 52 6t58 -6q-4 12 -20 15t-46 4t-36 -5q-7 -5 -8 -14z" opacity={0.6} />
      <path d="M40 112q-3 8 0 10q4 -2 1 -10zM84 114q-4 8 0 9q5 -1 1 -9zM118 110q-3 8 0 9q4 -1 1 -9z" />
    </g>
  );
}

interface FilmProps {
  lifted: number;
  open: boolean;
  blown: boolean;
  clip: string;
}

/** Film about the meat: where it does not touch, light gets under it. */
function Film({ lifted, open, blown, clip }: FilmProps): ReactNode {
  const bubbles = scattered(91, Math.round(16 * lifted + (lifted > 0.02 ? 1 : 0)), FIELD);
  return (
    <g>
      <g clipPath={`url(#${clip})`}>
        {bubbles.map(({ x, y, size }, index) => (
          <path
            key={index}
            d={`M${x - 14 - 6 * size} ${y}q10 -${11 + 5 * size} ${26 + 8 * size} -3t-2 ${13 + 4 * size}q-16 6 -${24 + 8 * size} -10z`}
            fill="#f3efe6"
            fillOpacity={0.5}
            stroke="#ffffff"
            strokeOpacity={0.9}
            strokeWidth={1}
          />
        ))}
      </g>
      <path
        d={OUTLINE}
        fill="#ffffff"
        fillOpacity={0.08}
        stroke="#e9e4d8"
        strokeWidth={blown ? 5 : 2}
        strokeOpacity={0.85}
        transform={blown ? 'translate(-6 -5) scale(1.075)' : undefined}
      />
      {open ? (
        <path d="M150 44l7 5l-6 5l7 5l-6 5l7 5" fill="none" stroke="#ad3f0d" strokeWidth={2.4} />
      ) : (
        <path d="M152 44v30M155 44v30" stroke="#e9e4d8" strokeWidth={1.4} />
      )}
    </g>
  );
}
