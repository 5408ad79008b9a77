import { lexiconOf } from '@/core/intake/hearing/lexicon';

/**
 * The language of the counter: what stands for what. Written with the sentences of the writers who teach the hearing, and
 * ordinary English besides; common practice, no source.
 */
export const lexicon = lexiconOf({
  idioms: [
    [/\bwon't\b/g, 'will not'],
    [/\bcan't\b|\bcannot\b/g, 'can not'],
    [/n't\b|does'nt|did'nt|is'nt/g, ' not'],
    [/\b(dont|doesnt|didnt|isnt|wasnt|wont|cant)\b/g, 'not'],
    [/'(s|re|ve|ll|d|m)\b/g, ''],
    [/\b(any ?more|any longer)\b/g, ''],
    [/\bno longer\b/g, 'not'],
    [/\bno (more|matter)\b/g, ''],
    [
      /\b(as (it|well|much|strong|strongly|fast|good|properly)|like it|than (it )?)\b[^.,;]{0,14}\b(before|did|was|should|once|used|does|new|mine)\b/g,
      'less',
    ],
    [/\bnot enough\b|\bnot really\b|\bnot much\b|\bnot (very )?(well|properly)\b/g, 'less'],
    [/\b(n?either|both) (way|direction)s?\b|\bforwards? (n?or|and) (backwards?|reverse)\b/g, 'bothways'],
    [/\b(kicks?|drops?|trips?|comes?|goes) (in and )?out\b/g, 'sometimes'],
    // Of a head that stops or starts it is the roll that does.
    [
      /\b((floor|power|brush|carpet) )?(head|nozzle)\b(?=( (just|only|keeps?|sometimes|suddenly|runs but))? (cut|cuts|cutting|stops?|quits?|starts?|drops?) (out|in|on|and|off|dead|now|every|when)\b)/g,
      'roller',
    ],
    [/\b(stops?|stopping|starts?) and (then )?(stops?|starts?|starting|turns|goes)\b/g, 'sometimes'],
    [/\b(fails?|failed|refuses?|refused) to\b/g, 'not'],
    [
      /\b(go|goes|going|gone|went) (a)?round and round\b|\bround and round\b|\bround in (circles|one place)\b/g,
      'circling',
    ],
    [/\bon the spot\b|\bin circles?\b/g, 'circling'],
    [/\b(go|goes|going|went|gone|moves?|moving|run|runs|running) (a)?round\b/g, 'turn'],
    [/\bturn(s|ed|ing)? over\b/g, 'turn'],
    [/\b(stands?|standing|stood|sits?|lies) (quite |perfectly )?still\b/g, 'motionless'],
    [/\bwith one turn\b|\bevery turn\b|\beach turn\b/g, 'revolution'],
    [/\b(pick|picks|picked|picking) (\w+ )?up\b|\bpick-?up\b/g, 'pickup'],
    [/\b(take|takes|taking|took|suck|sucks|sucked) (\w+ )?(\w+ )?up\b/g, 'pickup'],
    [/\b(switch|switches|switched|switching|turn|turns|turned|turning) (it|him)self off\b/g, 'selfoff'],
    [/\b(goes|went|going|go|turns?|switche?s?|shuts?) off by itself\b|\bof its own accord\b/g, 'selfoff'],
    [/\b(shut|shuts|shutting|cut|cuts|cutting|drops?) (itself )?(down|off)\b/g, 'cutout'],
    [/\b(cut|cuts|cutting) out\b|\bcuts? in and out\b/g, 'cutout'],
    [
      /\b(turn|turns|turned|switch|switched|switches|go|goes|come|comes) on and off\b|\bon and off\b|\bon, off\b/g,
      'sometimes',
    ],
    [/\b(switch|turn|power|start)(s|ed|ing|es)? (it )?(on|up)\b/g, 'switchon'],
    [/\bcome(s)? on\b|\bgo(es)? on\b/g, 'switchon'],
    [
      /\b(now and then|now and again|at times|from time to time|every so often|half the time|comes? and goes?|some days?)\b/g,
      'sometimes',
    ],
    [/\bone (day|minute)\b.*\b(next|other)\b/g, 'sometimes'],
    [
      /\bafter (a|an|about|half|ten|five|few|twenty|thirty|fifteen|\d+)\b[^.,;]{0,18}\b(minutes?|mins?|while|hours?|rooms?|quarter)\b/g,
      'afterwhile',
    ],
    [/\bquarter of an hour\b|\bhalf an hour\b|\bhalf a shift\b|\bhalfway\b/g, 'afterwhile'],
    [/\ball (night|day|weekend|week)\b|\bover ?night\b|\bfor (days|weeks)\b/g, 'longtime'],
    [/\b(stand|stands|standing|stood|stay|stays|staying|stop) (it )?(straight )?(up|upright)\b/g, 'upright'],
    [/\b(upright|parking|park) position\b/g, 'upright'],
    [/\b(lean|leaned|leant|tilt|tilted|tip|tipped|laid|lying|lies) (it )?(back|backwards|down)\b/g, 'reclined'],
    [
      /\b(fall|falls|fell|falling|drop|drops|flop|flops|flopping|slides?|lies) (back |right )?(over|down|back)\b/g,
      'topple',
    ],
    [/\b(by itself|on its own|by themselves)\b/g, 'itself'],
    [/\bself[- ](drive|driving|propel\w*)\b|\bpower drive\b|\bpulls? itself\b/g, 'selfdrive'],
    [/\b(wrong|opposite|other) (way|direction)( round)?\b|\bin reverse\b|\bwrong way round\b/g, 'wrongway'],
    [/\b(one|single) (way|direction)\b/g, 'oneway'],
    [/\bone (side|end)\b|\bon the (left|right)\b/g, 'oneside'],
    [/\b(to|at|from|out) the sides?\b|\bleft and right\b/g, 'sideways'],
    [/\bside (brush|broom)(es)?\b/g, 'sidebrush'],
    [/\bhard to (carry)\b/g, 'carry'],
    [/\bhour (meter|counter|clock|display)\b/g, 'hourmeter'],
    [/(?<!\b(two|three|four|half|few|an?|\d+) )\bhours\b/g, 'hourcount'],
    [/\bat all\b|\bwhatsoever\b|\bwhatever\b/g, 'atall'],
    [/\bnot even\b/g, 'atall'],
    [/\b(a bit|a little)\b/g, ''],
  ],
  ideas: {
    ROLL: 'brush brushes brushroll roller rollers roll beater bar bristle bristles agitator broom beaterbar rollerbrush spindle sweeper bristled whisk drum',
    BRISTLE: 'bristle bristles',
    TURN: 'turn turns turning spin spinning rotate rotates rotating rotation revolve whirl whirling whizzing twirl twirls twirling revolving revolves',
    STOP: 'stop stops stopped halt still stuck blocked jammed jam seized locked motionless stationary stall stalls motionless quit quits idle paused pauses frozen halts stands',
    SLOW: 'slow slowly lazy lazily sluggish feeble feebly creeps tired bog bogs revs',
    LITTLE:
      'less hardly barely scarcely less weaker weak poor poorly little reduced half down dropped lost loses lacks fallen fades short gentle gently oomph bite halfhearted',
    WEAK: 'weak weaker feeble poor strength breath puff wheezes wheezing asthmatic',
    LINES: 'lines stripes stripe striped nap groomed grooming',
    PILE: 'pile carpet carpets rug rugs mat mats',
    SOMETIMES: 'sometimes intermittent intermittently occasionally erratic wiggle wiggled jiggle jiggled',
    UPRIGHT: 'upright parked park standing stood stand stands vertical',
    RECLINED: 'reclined tilted leaned leant lying laid',
    CLICK:
      'click clicks clicking clack clacks clacking clacked tick ticks ticking ratchet ratchets ratcheting tack knock knocks snaps snap clock metronome woodpecker pecking popping pops ticking tapping taps typewriter cogs gears gear teeth jumping skipping skips',
    SQUEAL:
      'squeal squeals squealing screech screeches screeching squeak squeaks squeaking scream screams screaming whistle whistles whistling shrill piercing whine whining shriek shrieks kettle siren chirp chirps chalk pig mouse hinge howling sings flute violin wail wails wailing gate sirens yelps',
    RATTLE:
      'rattle rattles rattling clatter clatters clattering clonk clonking jingle jingles loose chatter chattering tin coins coin dice pebbles stones maracas chain chains nuts bolt bolts screw screws bouncing',
    ROUGH:
      'roar roars roaring growl growls growling howl howls rough harsh loud louder noisy noisier vibrate vibrates vibration shake shakes shaking rumble gravel grinds bearing bearings buzzes tractor lorry truck train plane aeroplane jet helicopter drill thunder trembles tremble tingles numb groan groans grunts grumbles mixer mill hums humming hammering deafening drone drones bellow bellows quiver quivers shudder shudders judder judders hoarse blares racket din',
    SCRAPE:
      'scrape scrapes scraping scratch scratching grate grates grating grinding grind rub rubs rubbing catching metal shovel file sandpaper rasp rasps rasping nails blackboard',
    NOISE: 'noise noises sound sounds sounding hear',
    MOTOR: 'motor engine vac',
    BURN: 'burn burns burning burnt burned smoke smokes smoking scorched singed singeing melting charred cooked rubber smoulder iron toast cake candle fire ash embers flame flames plastic insulation',
    HOT: 'hot heat heats overheat overheats overheating warm thermal cool cooled cooling cold rest rests',
    SMELL: 'smell smells smelled smelt smelling odour stink stinks stench reek reeks whiff stank',
    FOUL: 'dog dogs cat cats pet animal animals mould mouldy musty foul rotten stale damp drains unpleasant sour mildew bad kennel stable sock socks cheese fish egg eggs sewer drain swamp dead fur wet rot rotting nasty disgusting filthy sickly barn goat hamster mice mouse',
    SUCK: 'suck sucks sucking suction pull pulls pulling draw draws drawing draught lift lifting airflow air inhale tissue handkerchief breath inhales swallow grain strength paper sheet stick',
    PICKUP: 'pickup',
    LEFT: 'left leave leaves leaving remain remains remained stay stays lying lies behind',
    DIRT: 'dirt crumb crumbs grit sand fluff lint threads dirty muck litter needles flour rice peas sugar cereal biscuit bits leaves twigs soil breadcrumbs specks debris',
    HOSE: 'hose wand pipe tube tool tools crevice attachment cuff',
    FLOORHEAD: 'nozzle foot head plate floorhead',
    FLOOR: 'floor floors tiles parquet lino tile corridor aisle hall',
    AFTER: 'afterwhile minutes minute halfway',
    SELFOFF: 'selfoff cutout shutdown trips faints sleeps asleep tires quits gives',
    ON: 'switchon start starts started starting working work works go going',
    LIFE: 'life sign dead nothing happens reaction power kaput lifeless peep respond responds dying died passed alive reacts blank',
    CORD: 'cord cable flex lead wire plug contact connection dodgy',
    HOLD: 'hold held bend bent position moved moving wiggle',
    FUSE: 'fuse fuses breaker circuit electrics board lights trip trips residual electricity electrician socket main mains',
    HOUSE: 'house flat cellar kitchen building',
    SPARK:
      'spark sparks sparking sparked flash flashes flashed arcing arc lightning lightnings crackle crackles blue lights zap zaps glow',
    PUSH: 'push pushing pushed shove shift heavy hard stiff sticks difficult drag drags dragged glued glide heavier sticking rooted root sluggish sled sledge stubborn plough ploughing lawnmower weight weighs strain grips clings gripping gripped',
    TOPPLE:
      'topple topples tips tipping flop flops latch lock locks catch falls fall collapses collapse propped prop swings sinks keels lean leans',
    HANDLE: 'handle',
    DUST: 'dust dusty dusting cloud powder puffs puff sneeze fines dustier cough powders powdery allergic allergy asthma haze',
    OUT: 'out exhaust outlet escapes escaping blows blow blowing spits spit throws spitting blown vents',
    LAMP: 'lamp light lights lit bulb headlight headlamp indicator warning alarm lighting shine shines glow glowing torch illuminates illuminate gleam',
    RED: 'red warning alarm full',
    GREEN: 'green never',
    BAGFILTER: 'bag filter filters bags bin',
    FRONT: 'front ahead headlight dark headlamp',
    WRONGWAY: 'wrongway backwards backward reverse reversed',
    DRIVE:
      'drive drives driving driven selfdrive travel travelling traction transaxle propel propelling propelled pedal motorised propels transmission gearbox moves',
    WHEEL: 'wheel wheels castors castor',
    ITSELF: 'itself creep creeps creeping neutral crawls runs away sets unasked uninvited walk walks crawl',
    ONEWAY: 'oneway reverse forward forwards backward backwards direction',
    BATTERY: 'battery batteries pack cell cells',
    CHARGE: 'charge charged charging charger charges dock station docked',
    SHORT: 'short quick quickly last lasts flat empty minutes range exhausted runtime brief',
    WATER: 'water wet liquid solution detergent spray sprays soap shampoo jets',
    WETLEFT:
      'wet soaked soaking puddle puddles flooded saturated sopping damp pool pools lake flood bath soggy slippery squelch squelches drenched moist',
    STREAK: 'streak streaks streaking streaky smear smears smeary smearing stripes lines stripy',
    TANK: 'tank container recovery waste bucket',
    OVERFLOW:
      'overflow overflows overflowing overflowed overfilled spill spills spilled float rim edge flood floods brims brim',
    LEAK: 'leak leaks leaking drip drips dripping leaked weeping underneath under puddle tight watertight loses seeps seeping oozes oozing runs dribbles dribbling drops',
    FOAM: 'foam foams foaming suds froth frothing lather bubbles bubble bath washing beer cappuccino cream whipped',
    SIDEWAYS:
      'sideways side sides skirting walls wall shelves shelf racking splash splashes splashing flings flung shower showers sprinkles fountain squirt squirts shoots spurts sprinkle splatters spatter',
    EXHAUST: 'exhaust outlet vent vents blows blower sneezes drizzle rain rains squirts spurts',
    WEAR: 'wear wears worn wearing uneven unevenly conical taper tapered crooked bald',
    ONESIDE: 'oneside left right end',
    CORNER: 'corner corners edge edges along sidebrush wall walls niche niches margin margins border perimeter',
    CIRCLE: 'circling circle circles home find locate map spins spot tail dizzy roundabout carousel astray stranded',
    RUGIN:
      'fringe fringes tassels curtain swallow swallows swallowed eat eats ate chewed doormat tassel grabs grab bites bite winds towel bathmat',
    HAIR: 'hair hairs fur',
    CLOTH: 'sofa cushion cushions seat seats cloth upholstery armchair fabric couch chair',
    MARK: 'mark marks marking scratches scuff scuffs dent dents damages bumper chipping bumps bump bang bangs knocks chips gouges stain stains',
    FURNITURE: 'furniture table legs skirting skirtings door doors frame frames cupboard desks',
    CARRY:
      'carry carrying carried strap straps harness shoulder shoulders belt back hip waist grip wear wearing lug luggage',
    METER: 'hourmeter hourcount meter counter counting counts counted display clock',
    SERVICE:
      'service serviced maintenance inspection overhaul check checked checking clean cleaned annual yearly quarterly routine greased oil oiled lubricate once-over tune tuned looked due inspect',
    FAULTLESS: 'fault faults wrong complaint broken trouble order fine running matter',
    PLEASE: 'please would want like could need needs just only change install',
    HEIGHT: 'height set adjust adjusted adjusting adjustment setting notch lower higher',
    NEW: 'new replace fit fitted replaced swap fresh',
    PART: 'belt hose filter cord blades brush bag',
    SELL: 'sell selling sale sold resale auction used bought safe',
    OPENED: 'opened apart repair repaired stripped dismantled',
    FEEL: 'touch reach reaches meet touching',
  },
  empty:
    'a an the it its is are was were be been being am has have had having do does did done this that these those there here and ' +
    'or so as at of to for from in into by with my our your his her their i we you he she they me us him them who which what ' +
    'very really quite about some any bit little then since because while when if though although where how ' +
    'machine vacuum cleaner sweeper thing think says said say know mean afraid feel feeling well oh ' +
    'keeps keep kept always please lately today yesterday morning week year years month months autumn spring winter summer ' +
    'than too also get gets got getting would could can will shall should must may might ought used ' +
    'son daughter husband wife mother brother sister neighbour friend nephew man people lads staff customer ' +
    'one two three four five ten once twice first second now again ever already just even still properly simply',
  negations: 'not no never nothing without none neither nor nobody cease ceased',
  breaks: 'but while whereas however except',
});
