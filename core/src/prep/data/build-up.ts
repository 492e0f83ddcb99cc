import { when } from '../../facts/when.ts';
import type { BuildStepDef } from '../types.ts';

/** Lids, seals and sump off, or further in. A question nobody answered keeps the steps. */
const opened = when('cho-engine-depth in {resealed, stripped}');
const stripped = when('cho-engine-depth = stripped');
/** The sump comes off in an engine that is opened, and in one that only gets another sump. */
const sumpOff = when('cho-engine-depth in {resealed, stripped} or cho-sump in {recipient-variant, aftermarket, modified, dry-sump}');
/** The drive of the camshaft is renewed: a belt whenever the engine is opened, a chain with its guides or gears only in one that is stripped. */
const timingOff = when('cho-engine-depth = stripped or cho-engine-depth = resealed and eng-cam-drive = belt');
const clutched = when('gbx-kind in {manual, transaxle-manual}');
const joinedOutside = when('cho-unit-lift != engine-alone and cho-gearbox-stays != yes');

/** The order of building up, and why it is that order. Which steps an engine has, by its kind and by how far it is opened: common practice, no source. */
export const buildSteps: readonly BuildStepDef[] = [
  {
    id: 'bld-clean', title: 'Wash, galleries brushed and blown, bare faces oiled', short: 'Wash and oil', when: opened, after: [], why: 'one chip ends a bearing', how: 'gallery plugs out; no abrasive pad near bearings',
    caution: 'solvent and air: eyes, skin, no flame',
  },
  {
    id: 'bld-chase', title: 'Threads chased to full depth, blown dry', short: 'Threads chased', when: opened, after: ['bld-clean'], why: 'a dirty thread reads as torque; oil caught in a blind hole cracks the casting',
    how: 'chaser, not a cutting tap; holes counted', caution: 'chips: eye protection',
  },
  { id: 'bld-inserts', title: 'Stripped threads repaired', when: opened, after: ['bld-chase'], why: 'before the part that hangs on it is fitted', how: 'wire or solid insert; engagement by the core sum' },
  { id: 'bld-studs', title: 'Studs run in with two nuts locked on each other', when: opened, after: ['bld-chase'], why: 'no jaw marks, stud to full depth', how: 'seat lightly unless the maker says torque' },
  {
    id: 'bld-threadlock', title: 'Threadlocker on clean dry thread', when: opened, after: ['bld-studs'], why: 'oil makes it useless', how: 'medium to be undone again, high to stay; hold minutes, full about 24 h (common practice), label first',
    caution: 'not on stretch bolts unless the maker says so',
  },
  { id: 'bld-lube', title: 'Moving parts wetted with oil before any turning', when: when('cho-engine-depth = stripped or eng-condition in {stood, not-known} or eng-stood-months > 2 or don-storage-months > 2'), after: ['bld-clean'], why: 'dry rings and cams score; also after weeks of standing', how: 'assembly lubricant on cams and shells' },
  {
    id: 'bld-crank', title: 'Shells, crank, caps, end float; turned after every cap', short: 'Crank in', when: stripped, after: ['bld-lube', 'bld-chase'], why: 'a tight cap is found at once', how: 'oil gap and end float measured; maker\'s stages',
    caution: 'heavy: two people or hoist',
  },
  {
    id: 'bld-pistons', title: 'Rings gapped and spread, pistons and caps in', short: 'Pistons in', when: stripped, after: ['bld-crank', 'bld-lube'], why: 'gaps cannot be seen later', how: 'ring gaps measured; rod bolts by the maker\'s torque or stretch',
    caution: 'rings cut, rod bolts sleeved',
  },
  { id: 'bld-plugs-rear', title: 'Gallery plugs, then rear seal, then rear cover', short: 'Gallery plugs and rear seal', when: opened, after: ['bld-crank'], why: 'they lie behind it', how: 'cover centred on the seal before torque' },
  {
    id: 'bld-head', title: 'Head: dowels, dry clean faces, gasket right way up', short: 'Head on', when: stripped, after: ['bld-pistons', 'bld-chase'], why: 'it closes what lies below it', how: 'bolts new if stretch or unknown; maker\'s stages, inner to outer',
    caution: 'two people: weight over fingers',
  },
  {
    id: 'bld-angle', title: 'Torque plus angle: snug, paint at twelve o\'clock, turn, write both per bolt', short: 'Torque plus angle', when: stripped, after: ['bld-chase'], why: 'friction no longer decides the clamp',
    how: 'stretch measured; no value known = not tightened', caution: 'long bar: brace, engine locked',
  },
  { id: 'bld-tdc', title: 'Top dead centre by stop or rocked probe and by mark', when: timingOff, after: ['bld-head'], why: 'a slipped damper lies', how: 'two independent proofs (common practice) of top dead centre', caution: 'soft probe, by hand only' },
  {
    id: 'bld-chain', title: 'Chain or gears on with new guides, marks in line, tensioner let go last', short: 'Chain or gears on', when: when('cho-engine-depth = stripped and eng-cam-drive in {chain, gear}'), after: ['bld-pump-first', 'bld-threadlock', 'bld-lube'],
    why: 'a tensioner let go early takes up slack on the wrong side', how: 'coloured links or stamped teeth by the manual; oil-fed tensioner stays pinned until the chain lies', caution: 'sprung tensioner: fingers',
  },
  { id: 'bld-pump-first', title: 'Water pump, thermostat housing, idlers', short: 'Water pump and thermostat', when: timingOff, after: ['bld-tdc'], why: 'the belt runs over them', how: 'turned by hand' },
  {
    id: 'bld-belt', title: 'Belt on, all slack at the tensioner, tensioner nipped only', short: 'Belt on', when: when('cho-engine-depth in {resealed, stripped} and eng-cam-drive = belt'), after: ['bld-pump-first', 'bld-threadlock', 'bld-lube'], why: 'it must settle before the setting counts',
    how: 'tensioner setting by the maker', caution: 'sprung tensioner: fingers',
  },
  {
    id: 'bld-two-turns', title: 'Two full turns by hand in running direction, marks again, final torque', short: 'Two turns by hand', after: ['bld-belt', 'bld-chain', 'bld-lube'], why: 'before anything else turns it (common practice)', how: 'resistance: stop, never force it, find out',
    caution: 'battery off, plugs out',
  },
  {
    id: 'bld-belt-feel', title: 'Manual tensioner: longest run just twists 90° between finger and thumb (common practice)', short: 'Belt tension felt', when: when('cho-engine-depth in {resealed, stripped} and eng-cam-drive = belt'), after: ['bld-two-turns'], why: 'after settling',
    how: 'maker\'s figure first; the twist of the belt, not of the tensioner',
  },
  { id: 'bld-marks-cover', title: 'Cover and pulley on for a moment to read marks that sit on them', when: timingOff, after: ['bld-two-turns'], why: 'the marks are on them', how: 'crank, cam, tensioner: pass each, photo' },
  { id: 'bld-front-cover', title: 'Front cover and seal on, bolts left loose on purpose', short: 'Front cover on', when: timingOff, after: ['bld-marks-cover'], why: 'the pulley centres it', how: '"loose on purpose" flag until the front is torqued' },
  {
    id: 'bld-hub-press', title: 'Pulley on: drawn with an installer, or solid hub heated evenly and pushed home in one move', short: 'Pulley on', when: timingOff, after: ['bld-front-cover'], why: 'it grabs as it cools; stopped short: puller at once',
    how: 'seated against a datum; rubber-ring dampers: heat only if the maker allows', caution: 'burns: dry gloves, clear path; no hammer',
  },
  { id: 'bld-front-torque', fasteners: 'in', title: 'Front cover bolts torqued round the seated pulley', when: timingOff, after: ['bld-hub-press'], why: 'an off-centre seal weeps', how: 'in the maker\'s order; flag cleared, witness line' },
  {
    id: 'bld-shrink', title: 'Other shrink fits: outer warmed or inner chilled', short: 'Shrink fits', when: stripped, after: ['bld-clean'], why: 'no galling, no press damage',
    how: 'growth = a·d·ΔT, a steel 12, bronze 18, aluminium 23 µm/(m·K) (physics): 40 mm steel, +120 K: 0.058 mm; 20 mm bronze, −38 K: 0.014 mm; bearings up to about 120 °C (common practice)', caution: 'hot oil, dry ice: gloves, air',
  },
  {
    id: 'bld-hang', title: 'Engine hung and on blocks for the work under it', when: when('cho-stand in {cradle, none} and cho-engine-depth in {resealed, stripped} or cho-stand in {cradle, none} and cho-sump in {recipient-variant, aftermarket, modified, dry-sump}'), after: [],
    why: 'it stands on the part that comes off', how: 'blocks under the bell face and the front of the block, hoist kept snug', caution: 'no hands under a load that only hangs', harm: true,
  },
  { id: 'bld-pickup', title: 'Pickup pipe with new ring and brace', when: sumpOff, after: ['bld-plugs-rear', 'bld-hang'], why: 'the sump hides it; a one-bolt pipe flexes and sucks air', how: 'screen gap to sump floor by the maker or measured' },
  {
    id: 'bld-close', title: 'Closing gate: tools and rags counted, inside photographed, second person looks', short: 'Closing gate', when: sumpOff, after: ['bld-pickup', 'bld-head', 'bld-angle', 'bld-two-turns'], why: 'last look inside',
    how: 'named item list, no open remark',
  },
  {
    id: 'bld-seal-kind', title: 'Pick the seal per joint: gasket, gasket plus liquid at corners, silicone, anaerobic, O-ring dry', short: 'Seal chosen per joint', when: sumpOff, after: ['bld-clean'], why: 'neighbouring joints may differ',
    how: 'anaerobic only for rigid machined faces: it cures without air between metals; thin bead inside the bolts', caution: 'surplus inside blocks screens',
  },
  {
    id: 'bld-sump', title: 'Sump: gasket, liquid only at caps, corners, steps', short: 'Sump on', when: sumpOff, after: ['bld-close', 'bld-front-torque', 'bld-seal-kind'], why: 'the gasket gaps there',
    how: 'bolts evenly; front and rear flush for the bell',
  },
  {
    id: 'bld-seal-wait', title: 'Silicone skins in 5–15 min, full about 24 h; anaerobic holds in hours, full about 24 h, slower cold or on aluminium (common practice)', short: 'Sealant left to cure', when: sumpOff, after: ['bld-seal-kind'],
    why: 'oil on an uncured bead washes it out; joint closed before the skin', how: 'product label first; timer on the joint', caution: 'air the room',
  },
  { id: 'bld-tube-seals', title: 'Tube seals, half-moons, sealant points, then cover eased on', short: 'Tube seals and cover', when: opened, after: ['bld-head', 'bld-clean'], why: 'a folded lip fills the plug hole with oil', how: 'clean hands; photo of hidden seals' },
  { id: 'bld-cover', fasteners: 'in', title: 'Cover bolts in sequence, torque or "unknown"', short: 'Cover bolts', when: opened, after: ['bld-tube-seals', 'wio-lash'], why: 'over-tight warps; lash first', how: 'maker\'s figure; new grommets' },
  {
    id: 'bld-trial', title: 'Manifolds, turbo, pipes trial-fitted, altered, then final', short: 'Manifolds trial-fitted', after: ['bld-head'], why: 'what must be cut shows now', how: 'state "trial" apart from "final"',
    caution: 'turbo held while offered up',
  },
  { id: 'bld-shield', title: 'Sheet under every cut, openings plugged', short: 'Openings plugged', after: ['bld-trial'], why: 'filings in an open engine', how: 'hand saw beside nylon-insert nuts and seals', caution: 'eyes, hot chips' },
  { id: 'bld-turbo-drain', title: 'Turbo drain: full bore, falling all the way', short: 'Turbo drain', when: when('eng-induction = turbo'), after: ['bld-trial'], why: 'gravity only', how: 'shorten and weld; a bend that kinks is scrap' },
  { id: 'bld-paint', title: 'Paint, then bare again: flange, bell, mounts, earths', short: 'Painted', after: ['bld-cover'], why: 'thick paint tilts a flywheel', how: 'masking counted in and out', caution: 'respirator as the paint says' },
  { id: 'bld-filter', title: 'Oil filter filled before fitting', after: ['bld-sump', 'bld-seal-wait'], why: 'pressure comes sooner', how: 'skip where it hangs mouth down; maker\'s order otherwise' },
  { id: 'bld-stand-off', title: 'Off the stand, on soft mats', short: 'Off the stand', when: when('cho-stand in {bell-face, sides}'), after: ['bld-sump', 'bld-paint'], afterWhere: [{ step: 'bld-join', when: when('cho-stand = sides') }], why: 'at the bell face its bolts sit where the flywheel goes; at the sides, where the mounts go', how: 'list of stand-only work empty', caution: 'hoist rated, nobody below', harm: true },
  { id: 'bld-pilot', title: 'Pilot bearing chilled 1–2 h, pressed, depth measured', short: 'Pilot bearing in', when: when('gbx-kind = manual or gbx-kind = transaxle-manual and eng-pilot-bore known'), after: ['bld-sump'], afterWhere: [{ step: 'bld-stand-off', when: when('cho-stand = bell-face or cho-stand missing') }], why: 'the flywheel hides it; start the freezer early', how: 'msr-pilot', caution: 'cold burns' },
  { id: 'bld-flywheel', fasteners: 'in', title: 'Flywheel or plate on bare flange, dowel, new bolts, lock tool', short: 'Flywheel on', after: ['bld-pilot', 'bld-sump', 'bld-paint'], afterWhere: [{ step: 'bld-stand-off', when: when('cho-stand = bell-face or cho-stand missing') }], why: 'hides rear seal and pilot', how: 'runout measured; maker\'s stages', caution: 'heavy, sharp teeth' },
  {
    id: 'bld-bolt-length', title: 'Thicker plate or spacer: new length = old + added; engagement and bottoming checked', short: 'Bolt lengths computed', after: ['~bld-flywheel'], why: 'short strips, long bottoms',
    how: '1.0 d steel, 1.5 d iron, 1.5–2 d aluminium (common practice)',
  },
  {
    id: 'bld-clutch', title: 'Disc centred with a tool, marked side right, cover drawn down evenly', short: 'Clutch centred', when: clutched, after: ['bld-flywheel', 'bld-bolt-length'], why: 'cannot be seen afterwards', how: 'degrease faces last',
    caution: 'old dust: mask, no blow gun',
  },
  {
    id: 'bld-slave', title: 'Release bearing and greased fork; or inside slave, feed and remote bleed line, pressure-held', short: 'Release bearing in', when: when('gbx-kind in {manual, transaxle-manual} and cho-gearbox-stays != yes'), after: ['bld-clutch'], why: 'out of reach later; bleed screw ends at the reservoir',
    how: 'msr-release', caution: 'pedal tagged',
  },
  {
    id: 'bld-converter', title: 'Converter part-filled, turned in through every step', short: 'Converter home', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic} and cho-gearbox-stays != yes'), after: ['bld-bolt-length', 'bld-flywheel'], why: 'pump tangs break if drawn in by bolts',
    how: 'depth of the converter before and after joining', caution: 'heavy, held in by a strap',
  },
  {
    id: 'bld-join', fasteners: 'in', title: 'Gearbox pushed home by hand, flush all round, then bolts; one person turns the crank', short: 'Gearbox joined', when: joinedOutside, after: ['bld-slave', 'bld-converter'], why: 'bolts used as a press crack ears and bend discs',
    how: 'dowels seated, converter still turns free', caution: 'gearbox on its jack, fingers out',
  },
  { id: 'bld-mounts-on', title: 'Mounts that are awkward in the car, side verified', short: 'Mounts on', after: ['bld-join', 'bld-stand-off'], why: 'a swapped side is found hanging', how: 'photo left and right' },
  { id: 'bld-witness', title: 'Paint line over head and part, initials, at final torque', short: 'Witness marks', after: ['bld-angle'], why: 'broken line = torque cancelled', how: 're-torque task opens when a part comes off' },
  { id: 'bld-ports', title: 'Every opening has a consumer, plug or cap; plugs behind headers now', short: 'Every opening closed', after: ['bld-cover', 'bld-trial'], why: 'open port = air or coolant leak', how: 'port map, photo' },
  {
    id: 'bld-ready', title: 'Install gate: "before fitting" empty, "fit in the car" list handed over with reasons', short: 'Install gate', after: ['bld-ports', 'bld-witness', 'bld-mounts-on', 'bld-seal-wait', 'bld-flywheel', 'bld-clutch', 'bld-filter', 'bld-turbo-drain'], why: 'the bay hides what is not on now', how: 'names and date',
    caution: 'lift plan next',
  },
  {
    id: 'bld-join-in-car', fasteners: 'in', title: 'Engine moved back to meet the gearbox in the car, flush all round, then bolts; one person turns the crank', short: 'Joined in the car', when: when('cho-unit-lift = engine-alone or cho-gearbox-stays = yes'), after: ['bld-ready', 'bld-slave', 'bld-converter'],
    why: 'bolts used as a press crack ears and bend discs', how: 'gearbox held at its angle on a jack; dowels seated; a converter still turns free', caution: 'engine on the hoist, fingers out of the joint', harm: true,
  },
];
