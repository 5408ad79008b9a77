import { Measured, Part, Rise, Span, type Place } from './marks';

export const hose: Place = {
  says: 'The bore of the hose is its inner diameter; its length is as it is used, stretched out.',
  line: 'air',
  height: 86,
  draw: (
    <>
      <path d="M40 30 C120 30 120 60 210 60 S300 34 380 34 M40 46 C116 46 116 76 210 76 S304 50 380 50" />
      <Rise x={40} from={30} to={46} name="bore" field="bore" />
      <Span from={110} to={380} y={18} name="length" field="hoseLength" />
    </>
  ),
};

export const scrubber: Place = {
  says: 'Width of one lane and how far the next laps over it; a blade has four edges: the front and the back of its lower side, then the same of its upper side when it is turned over.',
  line: 'water',
  height: 140,
  draw: (
    <>
      <path d="M40 34 H150 V104 H40 Z M124 34 H234 V104 H124 Z" opacity="0.6" />
      <path d="M95 84 V56 M90 62 L95 54 L100 62 M179 56 V84 M174 78 L179 86 L184 78" />
      <Span from={40} to={150} y={22} name="width" field="width" />
      <Span from={124} to={150} y={116} name="overlap" field="overlap" below />
      <path d="M306 40 H356 V100 H306 Z" />
      <path d="M270 104 H400" strokeWidth="3" opacity="0.5" />
      <path d="M326 40 V24 H336 V40" opacity="0.6" />
      <Part x={331} y={128} name="a blade, cut across" anchor="middle" />
      <Measured field="blades" name="1" x={298} y={98} anchor="end">
        <circle cx="306" cy="100" r="4" fill="currentColor" />
      </Measured>
      <Measured name="2" x={364} y={98} anchor="start">
        <circle cx="356" cy="100" r="4" />
      </Measured>
      <Measured name="3" x={298} y={44} anchor="end">
        <circle cx="306" cy="40" r="4" />
      </Measured>
      <Measured name="4" x={364} y={44} anchor="start">
        <circle cx="356" cy="40" r="4" />
      </Measured>
      <Part x={296} y={74} name="front" anchor="end" />
    </>
  ),
};

export const weighed: Place = {
  says: 'The same part on the same scale each time, with the time of day; it is dry when it weighs what it weighed dry.',
  line: 'water',
  height: 112,
  draw: (
    <>
      <path d="M60 84 H200 L190 100 H70 Z" />
      <path d="M80 84 V78 H180 V84" />
      <rect x="96" y="34" width="68" height="42" rx="4" />
      <path d="M104 34 V76 M112 34 V76 M120 34 V76 M128 34 V76 M136 34 V76 M144 34 V76 M152 34 V76" opacity="0.6" />
      <path d="M110 88 h40" opacity="0.6" />
      <Measured field="weighings" name="weight, each time with its hour" x={222} y={60} anchor="start">
        <path d="M164 56 H216" />
      </Measured>
      <Measured field="dryWeight" name="dry weight" x={222} y={84} anchor="start">
        <path d="M202 92 H216 V80" opacity="0.6" />
      </Measured>
    </>
  ),
};

export const rack: Place = {
  says: 'The part on a rack, free on all sides; what matters is how warm and how damp the room is, and whether its air moves.',
  line: 'water',
  height: 104,
  draw: (
    <>
      <path d="M50 88 H190 M60 88 V98 M180 88 V98" />
      <rect x="86" y="40" width="68" height="42" rx="4" />
      <path d="M94 40 V82 M104 40 V82 M114 40 V82 M124 40 V82 M134 40 V82 M144 40 V82" opacity="0.6" />
      <path d="M94 32 q4 -8 0 -16 M116 32 q4 -8 0 -16 M138 32 q4 -8 0 -16" opacity="0.7" />
      <Measured field="room" name="room" x={262} y={40} anchor="start">
        <path d="M248 20 V46" strokeWidth="4" />
        <circle cx="248" cy="50" r="6" fill="currentColor" />
      </Measured>
      <Measured field="humidity" name="humidity" x={262} y={84} anchor="start">
        <path d="M248 68 q-9 13 0 20 q9 -7 0 -20" />
      </Measured>
    </>
  ),
};
