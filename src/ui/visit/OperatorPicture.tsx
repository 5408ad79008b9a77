import type { ReactNode } from 'react';
import type { OperatorPicture as Name } from '@/knowledge/operatorCare';

/** A drop of water at a point. */
const drop = (x: number, y: number, r = 3) => (
  <path
    key={`${x} ${y}`}
    d={`M${x} ${y - 2 * r}C${x + r} ${y - r} ${x + r} ${y} ${x + r} ${y}A${r} ${r} 0 0 1 ${x - r} ${y}C${x - r} ${y} ${x - r} ${y - r} ${x} ${y - 2 * r}Z`}
    fill="currentColor"
    stroke="none"
  />
);
/** An arrow from one point to another. */
const arrow = (x1: number, y1: number, x2: number, y2: number) => {
  const a = Math.atan2(y2 - y1, x2 - x1);
  const wing = (turn: number) => `${x2 - 7 * Math.cos(a + turn)},${y2 - 7 * Math.sin(a + turn)}`;
  return (
    <g key={`${x1} ${y1} ${x2} ${y2}`} strokeWidth={3}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      <polyline points={`${wing(0.5)} ${x2},${y2} ${wing(-0.5)}`} fill="none" />
    </g>
  );
};
const floor = <line x1={6} y1={84} x2={90} y2={84} strokeWidth={3} />;
const tank = <path d="M22 34H74L70 80H26Z" />;
const brush = (x: number, y: number, r = 22) => (
  <g key={`${x} ${y}`}>
    <ellipse cx={x} cy={y} rx={r} ry={5} />
    <path d={[-0.9, -0.45, 0, 0.45, 0.9].map((k) => `M${x + k * r} ${y + 4}L${x + 1.1 * k * r} ${y + 17}`).join('')} />
  </g>
);
const cross = (
  <g strokeWidth={5}>
    <line x1={14} y1={14} x2={82} y2={82} />
    <line x1={82} y1={14} x2={14} y2={82} />
  </g>
);
const roll = (
  <g>
    <rect x={14} y={48} width={68} height={20} rx={10} />
    <path d="M24 48L32 68M38 48L46 68M52 48L60 68M66 48L74 68" />
  </g>
);

/** What is done, from its side: drawn, so that it is understood without the words. */
const PICTURES: Record<Name, ReactNode> = {
  empty: (
    <>
      <path d="M30 12L70 24L58 60L22 50Z" />
      <path d="M34 66L30 74M42 68L40 78M50 68V78" />
      <path d="M18 84H78" strokeWidth={3} />
      <line x1={24} y1={34} x2={64} y2={44} strokeDasharray="5 4" />
    </>
  ),
  rinse: (
    <>
      {tank}
      <path d="M10 14H38V26" strokeWidth={5} />
      {[34, 42, 38].map((x, i) => drop(x, 42 + 12 * i))}
      <path d="M30 70Q38 64 46 70T62 70T68 68" />
    </>
  ),
  'lid-open': (
    <>
      {tank}
      <path d="M74 34L86 6" strokeWidth={5} />
      {arrow(40, 60, 40, 14)}
      {arrow(56, 60, 56, 20)}
    </>
  ),
  'wipe-blade': (
    <>
      <path d="M10 40Q48 20 86 40" strokeWidth={5} />
      <path d="M10 46Q48 27 86 46L86 58Q48 38 10 58Z" />
      <rect x={54} y={52} width={26} height={20} rx={4} transform="rotate(12 66 62)" />
      {arrow(48, 74, 16, 70)}
    </>
  ),
  'clear-deck': (
    <>
      <path d="M12 30H84V44H12Z" />
      {brush(29, 51, 16)}
      {brush(67, 51, 16)}
      <path d="M12 74C24 62 34 86 48 72S66 84 72 78" strokeWidth={3} />
      {arrow(72, 78, 88, 88)}
    </>
  ),
  'brush-out': (
    <>
      <path d="M12 14H84V28H12Z" />
      {brush(48, 56)}
      {arrow(48, 32, 48, 46)}
      {floor}
    </>
  ),
  'sweep-first': (
    <>
      <line x1={66} y1={6} x2={44} y2={62} strokeWidth={4} />
      <path d="M22 64H66L72 80H16Z" />
      {[78, 86, 82].map((x, i) => (
        <circle key={x} cx={x} cy={78 - 5 * i} r={2.5} fill="currentColor" stroke="none" />
      ))}
      {floor}
    </>
  ),
  'low-pressure': (
    <>
      <path d="M16 68A34 34 0 0 1 80 68" />
      <line x1={48} y1={68} x2={22} y2={56} strokeWidth={5} />
      <path d="M16 68L24 66M24 44L31 49M48 34V42M72 44L65 49M80 68L72 66" />
      {arrow(72, 82, 24, 82)}
    </>
  ),
  ramp: (
    <>
      <path d="M6 84H90L90 56Z" />
      <rect x={30} y={34} width={34} height={22} rx={4} transform="rotate(-18 47 45)" />
      <path d="M26 62L20 50" strokeWidth={4} />
      {arrow(22, 34, 14, 20)}
    </>
  ),
  drain: (
    <>
      {tank}
      <path d="M70 74H84V82" strokeWidth={5} />
      {[84].map((x) => drop(x, 94, 3))}
      {arrow(48, 46, 48, 72)}
    </>
  ),
  charge: (
    <>
      <rect x={14} y={34} width={60} height={34} rx={3} />
      <rect x={74} y={44} width={8} height={14} />
      <path d="M46 26L34 52H46L40 76L58 46H46Z" fill="currentColor" stroke="none" />
    </>
  ),
  'water-cells': (
    <>
      <path d="M12 44H84V82H12Z" />
      <path d="M36 44V82M60 44V82" />
      <path d="M12 60Q24 54 36 60T60 60T84 60" />
      {[24, 48, 72].map((x) => drop(x, 36))}
    </>
  ),
  hair: (
    <>
      {roll}
      <path d="M20 46C28 34 36 80 44 46S60 84 70 44" strokeDasharray="3 3" />
      <path d="M58 10L70 38M72 10L60 38" strokeWidth={3} />
      <circle cx={57} cy={8} r={4} />
      <circle cx={73} cy={8} r={4} />
    </>
  ),
  'filter-dry': (
    <>
      <circle cx={26} cy={22} r={10} />
      <path d="M26 4V8M26 36V40M8 22H12M40 22H44M14 10L17 13M38 34L35 31M38 10L35 13M14 34L17 31" />
      <rect x={34} y={46} width={44} height={34} rx={3} />
      <path d="M42 46V80M50 46V80M58 46V80M66 46V80" />
    </>
  ),
  plug: (
    <>
      <rect x={14} y={30} width={20} height={36} rx={3} />
      <path d="M20 42H28M20 54H28" strokeWidth={3} />
      <rect x={42} y={36} width={22} height={24} rx={5} />
      <path d="M36 42H42M36 54H42" strokeWidth={4} />
      <path d="M64 48C76 48 72 72 88 70" strokeWidth={3} />
      {arrow(44, 80, 66, 80)}
    </>
  ),
  float: (
    <>
      <path d="M26 12V84M70 12V84" />
      <path d="M26 66H70" strokeDasharray="5 3" />
      <circle cx={48} cy={56} r={14} />
      {arrow(84, 30, 84, 70)}
      {arrow(12, 70, 12, 30)}
    </>
  ),
  'dry-hands': (
    <>
      {[34, 48, 62].map((x, i) => drop(x, 40 + 8 * (i % 2), 6))}
      <path d="M30 74C34 64 38 70 40 60C46 70 52 64 50 78Z" fill="currentColor" stroke="none" />
      {cross}
    </>
  ),
  'turn-by-hand': (
    <>
      {roll}
      <path d="M28 34A22 14 0 0 1 68 34" strokeWidth={3} />
      {arrow(62, 28, 69, 36)}
      {floor}
    </>
  ),
};

export function OperatorPicture({ name, size }: { name: Name; size: string }) {
  return (
    <svg
      viewBox="0 0 96 96"
      style={{ width: size, height: size, flexShrink: 0 }}
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden
    >
      {PICTURES[name]}
    </svg>
  );
}
