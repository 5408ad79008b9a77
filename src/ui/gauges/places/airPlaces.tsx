import type { MachineSort } from '@/core/air/healthyMachines';
import { Hold, Part, type Place } from './marks';

/** Where the manometer is held, from the floor to the motor, and what each sort of machine has there. */
const SAYS = 'Stations from the floor to the motor: ';

const upright: Place = {
  says: `${SAYS}at the neck behind the head, where the lower duct ends, at the inlet on top of the bin, under the bin before the filter, at the motor below it.`,
  line: 'air',
  height: 196,
  draw: (
    <>
      <path d="M40 186 H124 V166 H62 L40 178 Z" />
      <path d="M118 166 V70 M128 166 V70" />
      <path d="M118 70 C118 22 168 18 178 36 M128 70 C128 40 162 34 168 40" />
      <path d="M150 40 H216 V110 H150 Z M150 116 H216 V126 H150 Z M160 116 V126 M170 116 V126 M180 116 V126 M190 116 V126 M200 116 V126 M206 116 V126" />
      <circle cx="183" cy="152" r="18" />
      <path d="M183 140 V164 M171 152 H195" opacity="0.6" />
      <path d="M196 40 L212 0 H226 M150 40 V186 H216 V40" opacity="0.5" />
      <Part x={82} y={181} name="head" anchor="middle" />
      <Part x={112} y={120} name="lower duct" anchor="end" />
      <Part x={112} y={34} name="hose" anchor="end" />
      <Part x={183} y={80} name="bin" anchor="middle" />
      <Hold at={[123, 160]} to={[100, 150]} name="neck" field="open0" />
      <Hold at={[123, 74]} to={[100, 74]} name="end of the duct" field="open1" />
      <Hold at={[174, 40]} to={[240, 34]} name="inlet" field="open2" />
      <Hold at={[183, 113]} to={[240, 113]} name="before the filter" field="open3" />
      <Hold at={[183, 134]} to={[240, 140]} name="at the motor" field="open4" />
    </>
  ),
};

const canister: Place = {
  says: `${SAYS}at the neck behind the head, at the wand’s upper end, at the canister’s inlet, behind the bag before the filter, at the motor.`,
  line: 'air',
  height: 154,
  draw: (
    <g transform="translate(12 0)">
      <path d="M6 126 H48 L56 116" />
      <path d="M6 126 H48" strokeWidth="6" opacity="0.5" />
      <path d="M53 112 L138 26 M60 118 L145 33" />
      <path d="M138 26 C160 4 176 14 186 44 S216 84 250 76 M145 33 C158 20 166 24 174 50 S208 96 250 86" />
      <path d="M262 124 C246 118 248 62 266 54 H384 C402 58 404 118 390 124 Z" opacity="0.6" />
      <circle cx="282" cy="126" r="9" fill="var(--paper)" />
      <circle cx="374" cy="126" r="9" fill="var(--paper)" />
      <path d="M256 64 H310 V104 H256 Z M318 64 H330 V104 H318 Z M322 64 V104 M326 64 V104" />
      <circle cx="364" cy="84" r="18" />
      <path d="M364 72 V96 M352 84 H376" opacity="0.6" />
      <Part x={27} y={114} name="head" anchor="middle" />
      <Part x={108} y={84} name="wand" />
      <Part x={176} y={84} name="hose" anchor="end" />
      <Part x={283} y={88} name="bag" anchor="middle" />
      <Hold at={[57, 117]} to={[84, 122]} name="neck" field="open0" />
      <Hold at={[140, 31]} to={[112, 20]} name="wand’s upper end" field="open1" />
      <Hold at={[253, 81]} to={[236, 112]} name="inlet" field="open2" />
      <Hold at={[314, 72]} to={[306, 36]} name="before the filter" field="open3" />
      <Hold at={[344, 84]} to={[346, 144]} name="at the motor" field="open4" />
    </g>
  ),
};

const stick: Place = {
  says: `${SAYS}at the neck behind the head, at the wand’s upper end, at the inlet of the hand piece, behind the bin before the filter, at the motor.`,
  line: 'air',
  height: 150,
  draw: (
    <>
      <path d="M10 138 H58 L66 128" />
      <path d="M10 138 H58" strokeWidth="6" opacity="0.5" />
      <path d="M62 124 L176 62 M67 132 L181 70" />
      <path d="M182 56 L254 30 L268 66 L196 92 Z M258 28 L268 24 L282 60 L272 64 Z M262 27 L276 62" />
      <circle cx="298" cy="36" r="18" />
      <path d="M298 24 V48 M286 36 H310" opacity="0.6" />
      <path d="M314 28 C352 26 352 66 330 78 L318 102 H302 L310 74 L296 54" opacity="0.6" />
      <Part x={34} y={126} name="head" anchor="middle" />
      <Part x={132} y={110} name="wand" />
      <Part x={224} y={66} name="bin" anchor="middle" />
      <Part x={326} y={98} name="battery" />
      <Hold at={[70, 125]} to={[52, 104]} name="neck" field="open0" />
      <Hold at={[172, 69]} to={[150, 50]} name="wand’s upper end" field="open1" />
      <Hold at={[186, 72]} to={[196, 122]} name="inlet" field="open2" />
      <Hold at={[256, 30]} to={[236, 8]} name="before the filter" field="open3" />
      <Hold at={[281, 32]} to={[330, 8]} name="at the motor" field="open4" />
    </>
  ),
};

const backpack: Place = {
  says: `${SAYS}at the neck behind the floor tool, at the wand’s upper end, at the inlet in the lid, under the bag before the filter, at the motor below it.`,
  line: 'air',
  height: 168,
  draw: (
    <>
      <path d="M10 156 H54 L62 146" />
      <path d="M10 156 H54" strokeWidth="6" opacity="0.5" />
      <path d="M59 142 L134 76 M65 150 L140 84" />
      <path d="M134 76 C160 52 184 70 196 42 S236 0 262 16 M140 84 C164 62 192 82 206 50 S238 12 254 22" />
      <path d="M236 20 H290 V152 C290 160 236 160 236 152 Z" opacity="0.6" />
      <path d="M290 30 C326 30 326 92 290 96 M290 112 C312 112 312 140 290 142" opacity="0.6" />
      <path d="M242 28 H284 V90 H242 Z M242 96 H284 V106 H242 Z M250 96 V106 M258 96 V106 M266 96 V106 M274 96 V106" />
      <circle cx="263" cy="132" r="17" />
      <path d="M263 120 V144 M251 132 H275" opacity="0.6" />
      <Part x={32} y={144} name="floor tool" anchor="middle" />
      <Part x={106} y={124} name="wand" />
      <Part x={150} y={34} name="hose" />
      <Part x={263} y={64} name="bag" anchor="middle" />
      <Part x={318} y={66} name="straps" />
      <Hold at={[66, 144]} to={[48, 122]} name="neck" field="open0" />
      <Hold at={[133, 83]} to={[110, 66]} name="wand’s upper end" field="open1" />
      <Hold at={[259, 19]} to={[310, 8]} name="inlet" field="open2" />
      <Hold at={[278, 93]} to={[336, 104]} name="before the filter" field="open3" />
      <Hold at={[263, 112]} to={[336, 126]} name="at the motor" field="open4" />
    </>
  ),
};

const wet: Place = {
  says: `${SAYS}at the neck of the squeegee or tool, where the duct ends, at the inlet of the recovery tank, behind the float before the screen, at the motor. Drained first: nothing wet goes into the manometer.`,
  line: 'air',
  height: 168,
  draw: (
    <g transform="translate(60 0)">
      <path d="M14 152 H96 L88 140 H22 Z" />
      <path d="M14 152 H96" strokeWidth="4" opacity="0.5" />
      <path d="M50 140 V104 M60 140 V104" />
      <path d="M50 104 C50 52 92 84 132 46 M60 104 C62 70 100 92 140 56" />
      <path d="M132 36 H236 V112 H132 Z" />
      <path d="M132 86 C150 82 160 90 178 86 S214 90 236 86" opacity="0.6" />
      <path d="M206 60 H226 V76 H206 Z M212 60 V48 H220 V60" />
      <path d="M242 36 H252 V62 H242 Z M242 44 H252 M242 52 H252" />
      <circle cx="290" cy="50" r="18" />
      <path d="M290 38 V62 M278 50 H302" opacity="0.6" />
      <path d="M132 112 H352 V74 H236" opacity="0.6" />
      <path d="M150 140 H240 V152 H150 Z" opacity="0.6" />
      <circle cx="318" cy="136" r="17" opacity="0.6" />
      <Part x={55} y={165} name="squeegee" anchor="middle" />
      <Part x={195} y={134} name="deck" anchor="middle" />
      <Part x={66} y={124} name="duct" />
      <Part x={168} y={58} name="tank" anchor="middle" />
      <Part x={216} y={104} name="float" anchor="middle" />
      <Hold at={[55, 136]} to={[30, 124]} name="neck" field="open0" />
      <Hold at={[55, 104]} to={[30, 92]} name="duct’s end" field="open1" />
      <Hold at={[137, 50]} to={[108, 30]} name="inlet" field="open2" />
      <Hold at={[239, 42]} to={[228, 16]} name="before the screen" field="open3" />
      <Hold at={[270, 50]} to={[274, 93]} name="at the motor" field="open4" />
    </g>
  ),
};

/** By the sort of machine that the gauge was told. */
export const AIR_PLACES: Record<MachineSort, Place> = { upright, canister, stick, backpack, wet };
