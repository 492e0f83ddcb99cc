import { when } from '../../facts/when.ts';
import type { GoingInStep, WayChoice, WorkState } from '../types.ts';

/**
 * How a unit goes into a car: what is done while the engine zone is open, the ways that are opened for it, the lift, its place,
 * and what closes the ways again. A way is a state; what closes one stands after all that needs it. Common practice, no source;
 * minutes are estimates for practised people, and the maker's manual goes first.
 */

const below = when('rec-install-path = from-below');
const front = when('rec-install-path = through-the-front');
const over = when('rec-install-path in {over-the-front, through-the-front}');
const notBelow = when('rec-install-path != from-below');
/** A gearbox that reaches back from the engine falls by its tail; one that lies beside it stands on the mounts of the unit. */
const tailed = when('gbx-kind not in {transaxle-manual, transaxle-automatic}');
const joined = when('cho-unit-lift in {engine-and-gearbox, on-subframe}');
const alone = when('cho-unit-lift not in {engine-and-gearbox, on-subframe}');
const onSubframe = when('cho-unit-lift = on-subframe or rec-install-path = from-below');
const always = when('always');

const open = 'while the way is open';
const ways = 'the way in';
const hook = 'on the hook or the table';
const place = 'in its place';
const shut = 'what closes the ways';

/** States of the ways in, and what carries the load. */
export const entryStates: readonly WorkState[] = [
  {
    id: 'st-firewall-reach', title: 'firewall and what lies behind the engine in reach', atStart: true, lostBy: [{ step: 'ein-unit-in' }], givenBy: [],
    givenWords: 'engine out again', proof: 'seen',
  },
  {
    id: 'st-car-up', title: 'car held up, and high enough for what rolls under it', atStart: false, harm: true, lostBy: [{ step: 'ein-car-down' }], givenBy: ['ein-car-up'],
    proof: 'stands or lift locked, height read',
  },
  {
    id: 'st-way-below', title: 'way from below open', atStart: false, lostBy: [{ step: 'ein-suspension-on' }], givenBy: ['ein-way-below'],
    proof: 'photo from below',
  },
  {
    id: 'st-way-front', title: 'front panel and radiator out of the way', atStart: false, lostBy: [], givenBy: ['ein-way-front'], proof: 'photo',
  },
  {
    id: 'st-way-over', title: 'hood off or upright, edge padded', atStart: false, lostBy: [], givenBy: ['ein-way-over'], proof: 'photo',
  },
  {
    id: 'st-unit-carried', title: 'the unit hangs on the hook or is tied to its table', atStart: false, harm: true, lostBy: [{ step: 'ein-gear-off' }],
    givenBy: ['ein-hook-on', 'ein-table-under'], proof: 'load seen to rise',
  },
  {
    id: 'st-front-mounts', title: 'engine stands on its own mounts', atStart: false, harm: true, lostBy: [], givenBy: ['ein-mounts-in'], proof: 'every bolt started by hand',
  },
  {
    id: 'st-tail-carried', title: 'gearbox carried at its tail', atStart: false, harm: true, lostBy: [], givenBy: ['ein-tail-mount', 'ein-joined-in'], proof: 'crossmember bolted, or gearbox bolted to the engine',
  },
];

export const goingInSteps: readonly GoingInStep[] = [
  {
    id: 'ein-bay-done', phase: open, title: 'Bay round closed: structure looked at, rust and welds done by who may, paint hard, caps counted', short: 'Bay round closed', when: always, after: [], needs: ['st-firewall-reach'], bayEmpty: true,
    why: 'nothing here is reached again with the engine in', how: 'with the list of caps: what was plugged for the wash comes out by count', minutes: [15, 30],
  },
  {
    id: 'ein-lines', phase: open, title: 'Brake, clutch and fuel lines behind and below the engine run, clipped, shielded', short: 'Lines behind the engine', when: always, after: ['ein-bay-done'], needs: ['st-firewall-reach'],
    why: 'the engine shuts the way to them', how: 'pressure-tested before it goes in where the circuit can be filled', caution: 'brakes are work for a qualified person; the manual first', minutes: [30, 180],
  },
  {
    id: 'ein-firewall', phase: open, title: 'Firewall: heater stubs, grommets, loom, holes plated, deadening, shields', short: 'Firewall finished', when: always, after: ['ein-bay-done'], needs: ['st-firewall-reach'],
    why: 'a heater hose behind a block costs the engine out', minutes: [30, 120],
  },
  {
    id: 'ein-hidden', phase: open, onEngine: true, title: 'On the engine: senders, plugs, bleed lines, dipstick tube, brackets that will be out of reach', short: 'What will be out of reach', when: always, after: [], needs: ['st-firewall-reach'],
    why: 'each costs minutes now and hours later', how: 'photo of each place', minutes: [20, 60],
  },
  {
    id: 'ein-off-first', phase: open, onEngine: true, title: 'What stands out too far for the opening comes off and is bagged', short: 'Too wide: off first', when: always, after: ['ein-hidden'], needs: [],
    why: 'an alternator that meets the rail turns the unit on the hook', how: 'the way in says by how much', minutes: [10, 60],
  },
  {
    id: 'ein-join', phase: open, onEngine: true, title: 'Engine and gearbox joined on the floor, faces flush by hand before a bolt pulls', short: 'Joined on the floor', when: joined, after: ['ein-hidden'], needs: [],
    why: 'below the car two people hold what one hoist holds here', how: 'two people: one at the tail, one at the bell; bell bolts never draw a gearbox home', caution: 'no hand between the faces', minutes: [30, 90], harm: true,
  },
  {
    id: 'ein-tail-plug', phase: open, title: 'Gearbox outputs plugged, tray at hand', short: 'Outputs plugged', when: joined, after: ['ein-join'], needs: [], why: 'the tail hangs low on its way in', minutes: [5, 10],
  },
  {
    id: 'ein-on-cradle', phase: open, onEngine: true, title: 'Unit set on its subframe or table by its own mounts, tied down, studs run through', short: 'Tied to its table', when: onSubframe, after: ['ein-join', 'ein-off-first'], needs: [],
    why: 'what rises is then one thing; where the gearbox is heavy, the balance moves to the tail', how: 'tied at two ends; push it by hand, nothing may rock', caution: 'it can tip: tied before the table moves', minutes: [30, 60], harm: true,
  },
  {
    id: 'ein-car-up', phase: ways, title: 'Car on the lift or on stands, its heavy end tied, height read', short: 'Car up', when: below, after: ['ein-lines', 'ein-firewall'], needs: [],
    why: 'height wanted: table, subframe, unit and 100 mm', how: 'on the maker\'s lifting points; the weight that comes at the front counts', caution: 'nobody under it before it is locked', minutes: [10, 30], harm: true,
  },
  {
    id: 'ein-way-below', phase: ways, title: 'From below: wheels, struts and shafts clear, nothing hangs into the way', short: 'Way from below', when: below, after: ['ein-car-up'], needs: ['st-car-up'],
    why: 'a caliper on its hose hangs where the cradle rises', how: 'calipers hung on wire, not on the hose', minutes: [15, 60],
  },
  {
    id: 'ein-way-front', phase: ways, title: 'Front panel, radiator, fan out of the way', short: 'Way through the front', when: front, after: [], needs: [], undoneBy: ['back-front', 'back-front-cut', 'back-radiator', 'back-fan'], bayEmpty: true,
    why: 'the unit rolls in level, without a tilt', minutes: [15, 60],
  },
  {
    id: 'ein-way-over', phase: ways, title: 'Hood off or upright, edge and wings padded, boom place set', short: 'Hood out of the way', when: over, after: [], needs: [], undoneBy: ['back-bonnet'], bayEmpty: true,
    why: 'the hoist counts at the boom hole in use', minutes: [10, 20],
  },
  {
    id: 'ein-hook-on', phase: hook, onEngine: true, title: 'Slings on, 10 mm off the floor, looked at: tilt, legs, bolts, what swings', short: 'On the hook', when: notBelow, after: ['ein-off-first', 'ein-join', 'ein-tail-plug', 'ein-on-cradle', 'ein-lines', 'ein-firewall', 'ein-way-over', 'ein-way-front'], needs: [], undoneByLift: true,
    why: 'a tilt that is wrong at 10 mm is wrong over the wing', caution: 'nobody under or beside it; one caller, one stop word', minutes: [10, 30], gates: ['gate-ei-lift', 'gate-ei-roles'], drawn: 'lift-in', harm: true,
  },
  {
    id: 'ein-table-under', phase: hook, onEngine: true, title: 'Table with the unit under the car, in line, its wheels locked', short: 'Table under the car', when: below, after: ['ein-on-cradle', 'ein-tail-plug', 'ein-way-below'], needs: ['st-car-up', 'st-way-below'], undoneByLift: true,
    why: 'the last that can be set by hand', caution: 'nobody between table and car', minutes: [10, 20], gates: ['gate-ei-lift', 'gate-ei-roles'], harm: true,
  },
  {
    id: 'ein-unit-in', phase: hook, onEngine: true, title: 'Into its place in small moves, somebody at each tight spot', short: 'Into its place', when: always, after: ['ein-hook-on', 'ein-table-under', 'ein-hidden'], needs: ['st-unit-carried'],
    needsWhere: [{ state: 'st-way-front', when: front }, { state: 'st-way-over', when: over }, { state: 'st-way-below', when: below }], undoneByLift: true,
    why: 'from here the firewall is shut', how: '"will not go" means that it touches somewhere: stop, look, say where', caution: 'nobody under it; no fingers between mount and pad', minutes: [20, 90],
    gates: ['gate-ei-mount-side', 'gate-ei-fragile'], harm: true,
  },
  {
    id: 'ein-joined-in', phase: hook, title: 'Engine pushed onto the gearbox in the car, faces flush by hand, then bolts', short: 'Onto the gearbox', when: alone, after: ['ein-unit-in'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'the shaft carries nothing: hoist and stand do', how: 'same height and slope as the bell; the crank turned to find the spline', caution: 'no bolt draws it home', minutes: [20, 90], harm: true,
  },
  {
    id: 'ein-slider-loose', phase: place, title: 'Slider: all bolts in, all loose, both sides', short: 'Slider loose', when: when('cho-mount-school = sliding-plate'), after: ['ein-unit-in', 'ein-joined-in'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'one bolt nipped turns the engine in its bay', minutes: [10, 20],
  },
  {
    id: 'ein-hole-row', phase: place, title: 'Hole row as reckoned from the length of the gearbox, the same row left and right', short: 'Hole row', when: when('cho-mount-school = fixed-hole-plate'), after: ['ein-unit-in', 'ein-joined-in'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'a row missed moves shaft and lever', minutes: [5, 15],
  },
  {
    id: 'ein-mounts-in', phase: place, title: 'Mounts on their fixed points, every bolt started by hand, none tight', short: 'Mounts started', when: always, after: ['ein-unit-in', 'ein-joined-in', 'ein-slider-loose', 'ein-hole-row'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'what the car fixes comes first: all else follows from it', minutes: [15, 45],
  },
  {
    id: 'ein-tail-mount', phase: place, title: 'Gearbox crossmember and tail mount in, or its tail on a stand of its own', short: 'Tail carried', when: tailed, after: ['ein-mounts-in'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'an engine on its front mounts alone falls by its tail', caution: 'no hand between crossmember and floor', minutes: [20, 60], harm: true,
  },
  {
    id: 'ein-along', phase: place, title: 'Fore and aft set: shaft, lever, fan; read and written', short: 'Fore and aft', when: always, after: ['ein-mounts-in', 'ein-tail-mount'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'along first: height changes nothing of it', how: 'bell face to the firewall', minutes: [10, 30], wantsFound: true,
  },
  {
    id: 'ein-height', phase: place, title: 'Height and slope set, read with tape and protractor', short: 'Height and slope', when: always, after: ['ein-along'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'joint angles and hood hang on it', how: 'with the weight on its mounts, hoist slack but on', minutes: [10, 30], wantsFound: true,
  },
  {
    id: 'ein-tack', phase: place, title: 'What is made to the place tacked, four tacks a side, left and right marked', short: 'Tacked', when: when('cho-mount-school = fabricated'), after: ['ein-height'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'welded with the engine in, it pulls out of line', caution: 'no flame near fuel; welding by a qualified person; battery off', minutes: [30, 90], harm: true,
  },
  {
    id: 'ein-tighten', phase: place, title: 'Mounts tightened in order: both sides snug, tail snug, then each to torque', short: 'Mounts tight', when: always, after: ['ein-height', 'ein-tack'], needs: ['st-unit-carried'], undoneByLift: true,
    why: 'the first one tight decides where it sits', minutes: [20, 45],
  },
  {
    id: 'ein-gear-off', phase: place, title: 'Hook or table off, lifting gear counted back', short: 'Lifting gear off', when: always, after: ['ein-tighten'], needs: ['st-front-mounts'], undoneByLift: true, needsWhere: [{ state: 'st-tail-carried', when: tailed }],
    why: 'what carries it now is named: mounts in front, something at the tail', caution: 'watch the tail while the hook slackens', minutes: [10, 20], harm: true,
  },
  {
    id: 'ein-suspension-on', phase: shut, title: 'Struts, shafts, wheels back on', short: 'Suspension back', when: below, after: ['ein-gear-off'], needs: ['st-car-up'], undoneByLift: true,
    why: 'it shuts the way from below', caution: 'hub nuts and ball joints are new and to torque', minutes: [60, 180],
  },
  {
    id: 'ein-under', phase: shut, title: 'From below, while the car is up: exhaust, shaft, cooler lines, starter, earths', short: 'Work from below', when: below, after: ['ein-gear-off'], needs: ['st-car-up'], undoneByLift: true,
    why: 'once up is enough', minutes: [60, 240],
  },
  {
    id: 'ein-car-down', phase: shut, title: 'Car down on its wheels', short: 'Car down', when: below, after: ['ein-suspension-on', 'ein-under'], needs: ['st-car-up'], undoneByLift: true,
    why: 'what is wanted from below is done', caution: 'nobody under it, nothing left under it', minutes: [10, 20], harm: true,
  },
];

/** Ways of taking the load, of which one is taken. */
export const entryWays: readonly WayChoice[] = [
  { id: 'way-carried', title: 'The load is taken', steps: ['ein-hook-on', 'ein-table-under'] },
];
