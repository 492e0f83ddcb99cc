import { when } from '../../facts/index.ts';
import type { StepDef } from '../types.ts';

/** Harvesting a donor and pulling the car's own engine: one set of steps for both. In after and before, ~ marks an order that only saves work. Minutes are estimates for one practised person. */
export const pullSteps: readonly StepDef[] = [
  {
    id: 'rm-identify', phase: 'before a fastener turns', title: 'Read vehicle and engine numbers, castings, gearbox tag, odometer, count of keys; photograph plates', short: 'Read the numbers', when: when('always'), after: [],
    before: ['rm-baseline-run', 'rm-fate-list'], needs: ['st-key'], support: 'mirror, cleaner', caution: 'An engine original to the car is not sold or scrapped without the owner\'s word', alsoWithoutEngine: true, minutes: [15, 30],
  },
  {
    id: 'rm-photo-tour', phase: 'before a fastener turns', title: 'Photograph every hose, bracket, clip and route from four sides and below; list leaks, earlier bodges, added gauges, alarms, shortened lines', short: 'Photo tour',
    when: when('always'), after: ['rm-identify'], before: ['rm-fate-list', 'rm-connectors'], needs: [], support: 'lamp, wipe', caution: 'Greasy bay: book cleaning time before promising a date', alsoWithoutEngine: true, minutes: [20, 45],
  },
  {
    id: 'rm-baseline-run', phase: 'before a fastener turns', title: 'Cold start to hot idle: cranking, smoke, noise, oil pressure, temperature, charging, codes with frozen data', short: 'Cold start to hot idle', when: when('eng-condition = proven-running'),
    after: ['rm-identify'], before: ['rm-fuel-run-dry', 'rm-battery-off', 'rm-coolant-drain'], needs: ['st-engine-runs', 'st-key'], support: 'scan tool, gauge, stand-in radiator for a wreck',
    caution: 'Exhaust gas: extraction or open air. Turning fan. Stand-in cooling only for a short proof', minutes: [30, 60],
  },
  {
    id: 'rm-baseline-drive', phase: 'before a fastener turns', title: 'Drive or roller test: all gears, shift or clutch, steady temperature, timed run if a gain is to be shown; note distance, weather, tyres', short: 'Drive or roller test',
    when: when('eng-condition = proven-running'), onlyIf: 'brakes and steering are sound', after: ['rm-baseline-run'], before: ['~rm-fuel-run-dry', 'rm-battery-off', 'rm-booster-hose'], needs: ['st-engine-runs', 'st-brakes'],
    support: 'second person writes', caution: 'Crashed car: private ground only, slow. Buyer drives only when insured', minutes: [30, 120],
  },
  {
    id: 'rm-weigh', phase: 'before a fastener turns', title: 'Axle weights, fuel level, ride height at four corners', short: 'Weigh the axles', role: 'own', when: when('always'), after: [], before: ['rm-bonnet-off', 'rm-hv-pack-out', 'rm-raise'], needs: ['st-wheels-down'],
    needsWords: 'level floor', support: 'scales', alsoWithoutEngine: true, minutes: [15, 30],
  },
  {
    id: 'rm-hub-nuts', phase: 'made dead, cool, raised', title: 'Hub nuts slackened while the wheels carry the car, a second person on the brake pedal', short: 'Hub nuts slackened',
    when: when('rec-drive-layout in {front-transverse, mid-engine, rear-engine, front-longitudinal-all-drive} and cho-unit-lift in {engine-and-gearbox, on-subframe}'), onlyIf: 'the nuts are loosened against the tyres, not on the bench', after: ['rm-chock'], before: ['rm-raise', 'rm-booster-hose'], needs: ['st-wheels-down', 'st-held'], support: 'long bar, second person',
    caution: 'Very tight: the bar may slip. Single-use nuts are renewed (the maker\'s manual first)', minutes: [10, 20],
  },
  {
    id: 'rm-datum', phase: 'before a fastener turns', title: 'Measure where the engine sits: crank height, pulley to radiator, sump to crossmember, rear flange angle, shaft angle and length, mount heights', short: 'Measure where the engine sits', role: 'own',
    when: when('always'), after: ['rm-photo-tour'], before: ['rm-radiator-out', 'rm-propshaft-off', 'rm-mounts-free', '~rm-raise'], needs: ['st-mounts-carry'], needsWords: 'weight on wheels', support: 'angle gauge, rule',
    caution: 'On stands under the axle or a drive-on lift, never under a jack', minutes: [30, 60],
  },
  {
    id: 'rm-fate-list', phase: 'before a fastener turns', title: 'Fate of every assembly, and which harness branches leave with the engine, written before the first cut', short: 'List the fate of every assembly', when: when('always'),
    after: ['rm-identify', 'rm-photo-tour'], before: ['rm-exhaust-cut', 'rm-harness-split', 'rm-front-cut'], needs: [], support: 'plan sheet', caution: 'Cutting is for scrap only', alsoWithoutEngine: true, minutes: [20, 40],
  },
  {
    id: 'rm-exit-choice', phase: 'before a fastener turns', title: 'Choose up, front or down from mass, hook height, floor, bay width, what is bent, what must stay rollable', short: 'Choose the way out', when: when('always'), after: ['rm-fate-list'],
    before: ['rm-bonnet-off', 'rm-front-off', 'rm-subframe-loose'], needs: [], support: 'tape, hoist and lift plates', caution: 'Hoist rating counts at the boom length in use, not the largest printed', minutes: [15, 30],
  },
  {
    id: 'rm-penetrant', phase: 'before a fastener turns', title: 'Penetrating oil on exhaust studs, bell dowels, mount and subframe bolts; repeat next day', short: 'Penetrating oil', when: when('always'),
    onlyIf: 'rust, salt country, or over about 10 years', after: ['rm-photo-tour', '~rm-cool-down'], before: ['~rm-exhaust-front', '~rm-bell-bolts', '~rm-subframe-loose'], needs: [], needsWords: 'cold exhaust',
    caution: 'Flammable: after the last run, never on hot parts; keep off belts, clutch, brakes, rubber', minutes: [10, 15], thenWait: 'a night',
  },
  {
    id: 'rm-module-scan', phase: 'while power is still on', title: 'Read and save codes of all modules, immobiliser and key state, radio and memory data', short: 'Save codes of all modules', when: when('cho-control != mechanical-diesel'),
    onlyIf: 'the car has control units', after: ['~rm-baseline-run'], before: ['~rm-fuel-run-dry', 'rm-battery-off'], needs: ['st-battery-live', 'st-key'], support: 'scan tool, battery supporter',
    caution: 'A module that browns out half-way may lock', minutes: [15, 30],
  },
  {
    id: 'rm-seats-move', phase: 'while power is still on', title: 'Run powered seats to free their bolts, then centre and lowest for carrying', short: 'Free the powered seats', when: when('always'), onlyIf: 'powered seats come out', after: [],
    before: ['rm-battery-off'], needs: ['st-battery-live'], support: 'feed leads if power is gone', caution: 'Airbag and belt parts: unplug only after battery off and the manual\'s wait', minutes: [15, 30],
  },
  {
    id: 'rm-glass-roof', phase: 'while power is still on', title: 'Glass and roof: up and shut if the shell must stay dry; frameless glass down if doors are stored off the car', short: 'Glass and roof', when: when('always'),
    onlyIf: 'glass or roof is powered', after: [], before: ['rm-battery-off'], needs: ['st-battery-live'], caution: 'Fingers. The choice gives something up: write which', minutes: [5, 10],
  },
  {
    id: 'rm-latches', phase: 'while power is still on', title: 'Boot latch tripped so that it cannot lock itself; bonnet, flap, steering lock, shift interlock, electric parking brake set for work', short: 'Latches and locks', when: when('always'),
    onlyIf: 'any of the latches is electric', after: ['rm-chock'], before: ['rm-battery-off', 'rm-shift-off'], needs: ['st-battery-live', 'st-key'], support: 'spare key outside the car',
    caution: 'The car is free to roll from here', alsoWithoutEngine: true, minutes: [5, 15],
  },
  {
    id: 'rm-chock', phase: 'while power is still on', title: 'Chocks at two wheels, both directions, by name; key tagged', short: 'Chocks', when: when('always'), after: ['~rm-baseline-drive'],
    before: ['rm-latches', 'rm-shift-off', 'rm-propshaft-off', 'rm-driveshafts-off'], needs: [], support: 'chocks', caution: 'Park lock and gear stop holding once a shaft is out', alsoWithoutEngine: true, minutes: [2, 5],
  },
  {
    id: 'rm-battery-reach', phase: 'while power is still on', title: 'Empty boot, seat or scuttle so that the battery is reachable and stays so', short: 'Clear the way to the battery', when: when('rec-battery in {cabin, boot}'), after: ['~rm-latches'],
    before: ['rm-battery-off'], needs: ['st-battery-live'], alsoWithoutEngine: true, minutes: [5, 20],
  },
  {
    id: 'rm-fuel-run-dry', phase: 'while power is still on', title: 'Pump relay or fuse out, filler cap loosened, run until it dies, crank 5–10 s more', short: 'Run the fuel line empty',
    when: when('eng-fuelling in {port-injection, throttle-body-injection} and eng-condition = proven-running'), after: ['rm-baseline-run', '~rm-baseline-drive'],
    before: ['rm-battery-off', 'rm-coolant-drain', 'rm-intake-off', 'rm-exhaust-front', 'rm-fuel-open'], needs: ['st-engine-runs', 'st-battery-live'], support: 'relay chart, label the relay',
    caution: 'Fuel still lies in the lines. Sets codes. The maker\'s way goes first', minutes: [10, 20],
  },
  {
    id: 'rm-crank-tests', phase: 'while power is still on', title: 'Compression dry and wet, or leak-down, while battery, starter and cooling still stand', short: 'Compression or leak-down', when: when('eng-condition in {stood, not-known}'),
    after: ['~rm-fuel-run-dry'], before: ['rm-battery-off', 'rm-starter-off'], needs: ['st-cranks', 'st-battery-live'], needsWords: 'fuel and spark off', support: 'gauge, battery charger',
    caution: 'Leak-down turns the crank: lock it, hands clear. Diesel needs its own gauge', notWhereItMayBeLive: true, minutes: [45, 90],
  },
  {
    id: 'rm-fuel-valve-bleed', phase: 'while power is still on', title: 'Bleed at the rail test valve through a hose into a can', short: 'Bleed at the rail valve',
    when: when('eng-fuelling in {port-injection, throttle-body-injection}'), onlyIf: 'the rail has a test valve', after: [], before: ['rm-fuel-open'], needs: ['st-engine-cold'],
    needsWords: 'pump off', support: 'bleed gauge, fuel can', caution: 'Eye protection, no spark source, extinguisher at hand, can bonded', minutes: [10, 20],
  },
  {
    id: 'rm-fuel-stand-cold', phase: 'while power is still on', title: 'Pump fuse out, cap off, stand cold, then crack the joint under a rag into a can', short: 'Let it stand, crack the joint', when: when('eng-fuelling in {carburettor, diesel-mechanical, port-injection, throttle-body-injection}'),
    after: [], before: ['rm-fuel-open'], needs: ['st-engine-cold'], support: 'rag, can', caution: 'May still spray: face away, gloves, no lamp that can break', minutes: [15, 30], thenWait: 'hours',
  },
  {
    id: 'rm-fuel-hp-wait', phase: 'while power is still on', title: 'High-pressure side: only the maker\'s routine and waiting time, rail pressure read as gone', short: 'High-pressure side let down',
    when: when('eng-fuelling in {direct-injection, diesel-common-rail}'), after: [], before: ['rm-fuel-open'], needs: ['st-battery-live'], support: 'scan tool',
    caution: 'Never crack a line on a running engine: the jet goes through skin and is a surgical emergency', minutes: [15, 30], thenWait: 'the maker\'s minutes',
  },
  {
    id: 'rm-hv-authorise', phase: 'made dead, cool, raised', title: 'Name the authorised person, the second person, the manual pages; fence and sign; keys out of radio range', short: 'Authorise high-voltage work', when: when('rec-hv-system = yes'),
    after: ['~rm-baseline-drive', '~rm-seats-move', '~rm-latches', 'rm-identify', 'rm-chock'], before: ['rm-hv-make-safe'], needs: ['st-key'], support: 'rated gloves in date (IEC 60903 class 0, standard, from memory), insulated tools (IEC 60900, standard, from memory)',
    caution: 'Nobody else touches orange cable. A hybrid can start by itself', alsoWithoutEngine: true, minutes: [20, 40],
  },
  {
    id: 'rm-battery-off', phase: 'made dead, cool, raised', title: 'Low-voltage battery: negative first, end covered and tied away; then positive', short: 'Low-voltage battery off', when: when('always'),
    after: ['rm-module-scan', 'rm-seats-move', 'rm-glass-roof', 'rm-latches', 'rm-battery-reach', 'rm-fuel-run-dry', 'rm-crank-tests', '~rm-fuel-hp-wait'],
    before: ['rm-connectors', 'rm-starter-off', 'rm-fusebox', 'rm-hv-make-safe'], needs: [], needsWords: 'every powered move ticked or waived', support: 'insulated cap',
    caution: 'Ring and watch off. Gas: no spark. Airbags: the manual\'s wait before touching any of their plugs', alsoWithoutEngine: true, minutes: [5, 10],
  },
  {
    id: 'rm-airbag-wait', phase: 'made dead, cool, raised', title: 'Airbags and belt tensioners: the manual\'s minutes after the battery came off, by the clock', short: 'Airbag wait', when: when('rec-airbags != no'),
    after: ['rm-battery-off'], before: [], needs: ['st-power-off'], support: 'timer, manual', caution: 'No meter on their plugs. The maker\'s manual and local law go first', minutes: [5, 5], thenWait: 'the manual\'s minutes',
  },
  {
    id: 'rm-hv-make-safe', phase: 'made dead, cool, raised', title: 'Service plug out and kept on the person; wait at least 5 min or the manual\'s longer time (common practice); 12 V and plug in the manual\'s order', short: 'Service plug out',
    when: when('rec-hv-system = yes'), after: ['rm-hv-authorise', 'rm-battery-off'], before: ['rm-hv-prove-dead'], needs: ['st-power-off', 'st-held'], needsWords: 'manual open', support: 'lock-out tag, timer',
    caution: 'Licensed or authorised persons only; manual and local law go first', gates: ['gate-hv-people'], harm: true, alsoWithoutEngine: true, minutes: [15, 30],
  },
  {
    id: 'rm-hv-prove-dead', phase: 'made dead, cool, raised',
    title: 'Meter proved on a known source, read at the points the manual names, meter proved again; write the numbers. Nothing else is opened before this', short: 'Prove it dead', when: when('rec-hv-system = yes'),
    after: ['rm-hv-make-safe', 'rm-battery-off'], before: ['rm-hv-pack-out', 'rm-bonnet-off', 'rm-coolant-drain', 'rm-connectors', 'rm-exhaust-front', 'rm-straps', 'rm-mounts-free'], needs: [],
    support: 'meter and leads rated for the voltage', caution: '"Should be dead" is not a reading. The voltage comes from the manual, not from memory', gates: ['gate-hv-wait', 'gate-hv-dead'], harm: true, alsoWithoutEngine: true, minutes: [10, 20],
  },
  {
    id: 'rm-hv-pack-out', phase: 'made dead, cool, raised', title: 'Trims and straps, bus and motor cables capped, pack out, weighed, stored apart', short: 'High-voltage pack out', when: when('rec-hv-system = yes'), onlyIf: 'the system leaves the car',
    after: ['rm-hv-prove-dead', 'rm-weigh'], before: ['rm-holes-list'], needs: ['st-hv-dead'], support: 'lift table or 2–4 people',
    caution: 'The pack stays charged inside: no drop, crush or water; storage by local code', harm: true, alsoWithoutEngine: true, minutes: [120, 300],
  },
  {
    id: 'rm-cool-down', phase: 'made dead, cool, raised', title: 'Wait until a hand can rest on the top hose', when: when('eng-condition not in {stood, new}'), after: ['rm-baseline-run', 'rm-fuel-run-dry', 'rm-baseline-drive'],
    before: ['rm-coolant-drain', 'rm-exhaust-front', 'rm-oil-drain'], needs: [], support: 'fan', caution: 'Never open a hot cap', minutes: [60, 180], thenWait: '60 to 180 min',
  },
  {
    id: 'rm-bonnet-off', phase: 'made dead, cool, raised', title: 'Mark hinges, lamps and washer off, lift away, stand on soft ground out of the traffic', short: 'Bonnet off', when: when('rec-install-path = over-the-front'),
    after: ['~rm-latches', '~rm-battery-off'], before: ['rm-hoist-on'], needs: [], support: '2 people', caution: 'Struts: second person holds before the last bolt', minutes: [15, 25],
  },
  {
    id: 'rm-raise', phase: 'made dead, cool, raised', title: 'Car on the maker\'s lifting points; the end that stays heavy tied to the lift or on a tall stand', short: 'Raise the car', when: when('always'), after: ['rm-chock', '~rm-battery-off'],
    before: ['~rm-coolant-drain', 'rm-subframe-loose'], needs: [], support: 'two-post lift, stands, straps', caution: 'The balance moves when the engine leaves: secure for after, not only for now', minutes: [10, 20],
  },
  {
    id: 'rm-coolant-drain', phase: 'fluids', title: 'Radiator low point and every block drain into a clean pan; note volume, colour, oil; an empty second drain tells that the thermostat stands open', short: 'Drain the coolant', when: when('always'),
    onlyIf: 'liquid-cooled', after: ['rm-cool-down', '~rm-raise'], before: ['rm-hose-top', 'rm-heater-hoses', 'rm-radiator-out', 'rm-turbo-lines'], needs: ['st-engine-cold'], support: 'two trays: the low hose still holds some',
    caution: 'Poisonous: cover it, label it, dispose by code', minutes: [15, 30],
  },
  {
    id: 'rm-oil-drain', phase: 'fluids', title: 'Drain warm, keep a sample, cut the filter open, refit the plug finger-tight and tag it', short: 'Drain the oil', when: when('always'), onlyIf: 'the engine will be opened or tilted',
    after: ['rm-cool-down'], before: ['rm-filter-off'], needs: [], support: 'filter cutter', caution: 'Hot oil. Tag "no oil" on the key', minutes: [15, 25],
  },
  {
    id: 'rm-gearbox-drain', phase: 'fluids', title: 'Drain, or hold a tail plug ready', short: 'Drain the gearbox', when: when('cho-unit-lift in {engine-and-gearbox, on-subframe}'), after: ['rm-raise'],
    before: ['rm-propshaft-off', 'rm-driveshafts-off', 'rm-lift-50'], needs: [], support: 'tail plug, tray', caution: 'The last litre leaves when it tilts: spill kit at the hoist', minutes: [15, 30],
  },
  {
    id: 'rm-ps-aside', phase: 'fluids', title: 'Steering pump unbolted with its lines, tied to the frame above its own fittings, hoses watched for kinks', short: 'Steering pump aside',
    when: when('rec-steering-assist = hydraulic and eng-ps-pump in {belt-left, belt-right}'), onlyIf: 'the pump stays with the car', after: ['rm-belt-off'], before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-steering-shut'],
    support: 'cord, wood block, photo of the hang', caution: 'No bleeding later if it stays shut', minutes: [15, 25],
  },
  {
    id: 'rm-ps-open', phase: 'fluids', title: 'Empty reservoir, lines off, ends capped', short: 'Steering lines off', when: when('rec-steering-assist = hydraulic and eng-ps-pump in {belt-left, belt-right}'), onlyIf: 'the pump leaves with the engine',
    after: ['rm-raise', '~rm-belt-off'], before: ['rm-cap-ports', 'rm-hoist-on', 'rm-cradle-under'], needs: [], needsWords: 'engine off', support: 'caps, tray', caution: 'Paint and hot exhaust', minutes: [15, 30],
  },
  {
    id: 'rm-ac-aside', phase: 'fluids', title: 'Compressor unbolted with hoses on, hung without bend or twist', short: 'Compressor aside', role: 'own', when: when('rec-ac-state in {fitted-charged, fitted-empty, fitted-not-known} and cho-ac not in {deleted, later}'),
    onlyIf: 'the compressor hangs aside shut', after: ['rm-belt-off'], before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-ac-shut'], support: 'wood block, cord', caution: 'Never by its hose. Kinked: re-hang now', minutes: [15, 25],
  },
  {
    id: 'rm-ac-recover', phase: 'fluids', title: 'Charge recovered and weighed by a licensed person; even a circuit "known empty" gets a gauge reading', short: 'Refrigerant recovered',
    when: when('rec-ac-state in {fitted-charged, fitted-empty, fitted-not-known}'), after: [], before: ['rm-radiator-out', 'rm-front-off'], needs: [], support: 'licensed visit',
    caution: 'Frostbite, suffocation, unlawful venting: licensed only', onDemand: 'st-ac-recovered', harm: true, alsoWithoutEngine: true, minutes: [30, 60], thenWait: 'a visit',
  },
  {
    id: 'rm-ac-off', phase: 'fluids', title: 'Compressor and its hoses off, every end capped at once', short: 'Compressor off', when: when('rec-ac-state in {fitted-charged, fitted-empty, fitted-not-known}'),
    after: ['rm-ac-recover', 'rm-belt-off'], before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-ac-recovered'], support: 'caps, eye protection', caution: 'Only after the licensed person read it empty; oil mist, cold', harm: true, alsoWithoutEngine: true, minutes: [15, 30],
  },
  {
    id: 'rm-slave-aside', phase: 'fluids', title: 'Outside slave tucked away unopened, pedal tagged "do not press"', short: 'Clutch slave aside', when: when('gbx-release-kind = external-slave'), after: [], before: ['rm-bell-bolts', 'rm-lift-50'],
    needs: ['st-clutch-shut'], support: 'cable tie', caution: 'A pressed pedal ejects the piston', minutes: [10, 15],
  },
  {
    id: 'rm-clutch-line', phase: 'fluids', title: 'Line to the inside slave parted at its coupling, both ends capped, bracket freed', short: 'Clutch line parted', when: when('gbx-release-kind = concentric-slave'), after: [], before: ['rm-bell-bolts', 'rm-lift-50'],
    needs: [], support: 'caps, tray', caution: 'Brake fluid takes paint off; pedal tagged', minutes: [10, 20],
  },
  {
    id: 'rm-intake-off', phase: 'top side and front', title: 'Air box, duct and air sensor off as one; throttle mouth taped', short: 'Intake off', when: when('always'), after: ['rm-fuel-run-dry', '~rm-connectors'], before: ['rm-hoist-on', 'rm-cradle-under'],
    needs: [], support: 'tape, lid', caution: 'Nothing may fall in', minutes: [10, 20],
  },
  {
    id: 'rm-charge-pipes', phase: 'top side and front', title: 'Charge pipes, cooler, catch can and breathers; ends capped; oil in the pipes noted', short: 'Charge pipes off', when: when('eng-induction != none'), after: ['rm-intake-off'],
    before: ['rm-radiator-out', 'rm-turbo-lines'], needs: [], support: 'caps', caution: 'Oil pool: look at the turbo', minutes: [20, 45],
  },
  {
    id: 'rm-added-parts', phase: 'top side and front', title: 'Owner-added gauges, wideband, alarms, brace bars: label, photo, off', short: 'Added parts off', when: when('always'), onlyIf: 'present', after: ['rm-photo-tour'], before: ['rm-hoist-on', 'rm-cradle-under'],
    needs: [], support: 'labels', caution: 'A brace on a crashed body is loaded: hold it at the last bolt', alsoWithoutEngine: true, minutes: [10, 40],
  },
  {
    id: 'rm-belt-off', phase: 'top side and front', title: 'Photograph path and lettering direction, release tensioner, belt off', short: 'Belt off', when: when('always'), after: ['rm-battery-off'],
    before: ['rm-ps-aside', 'rm-ac-aside', 'rm-alternator'], needs: [], support: 'tool as the tensioner asks', caution: 'Sprung arm: fingers', minutes: [5, 15],
  },
  {
    id: 'rm-hose-top', phase: 'top side and front', title: 'Top hose, bottle and its hoses; other hoses one at a time', short: 'Top hose off', when: when('always'), onlyIf: 'liquid-cooled', after: ['rm-coolant-drain'], before: ['~rm-fan-out'],
    needs: [], support: 'tray', minutes: [10, 15],
  },
  {
    id: 'rm-heater-hoses', phase: 'top side and front', title: 'First hose off and run out before the second; mark which is feed', short: 'Heater hoses off', when: when('always'), onlyIf: 'the car has a heater', after: ['rm-coolant-drain'],
    before: ['rm-hoist-on', 'rm-cradle-under'], needs: [], support: 'slit hose, do not lever the core pipe', caution: 'Heater core pipes tear', minutes: [10, 15],
  },
  {
    id: 'rm-fan-out', phase: 'top side and front', title: 'Shroud and fans; more room with the top hose gone, possible without', short: 'Fans out', when: when('always'), onlyIf: 'present', after: ['rm-battery-off', '~rm-hose-top'],
    before: ['rm-radiator-out', 'rm-hoist-on', 'rm-cradle-under'], needs: ['st-power-off'], support: 'card over the core', caution: 'Thermo fan may run with key off: battery first', minutes: [15, 25],
  },
  {
    id: 'rm-radiator-out', phase: 'top side and front', title: 'Radiator and oil-cooler lines, upper support; ends capped', short: 'Radiator out', when: when('always'), after: ['rm-coolant-drain', 'rm-fan-out', '~rm-ac-recover'],
    before: ['rm-lift-50'], needs: [], support: 'caps', caution: 'Condenser stays closed or is recovered', minutes: [20, 35],
  },
  {
    id: 'rm-alternator', phase: 'top side and front', title: 'Off, or only unplugged if it leaves with the engine', short: 'Alternator off', when: when('always'), after: ['rm-battery-off', 'rm-belt-off'], before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-power-off'],
    caution: 'Main cable is live until battery off', minutes: [10, 25],
  },
  {
    id: 'rm-cables', phase: 'top side and front', title: 'Throttle, clutch, kick-down or throttle-valve, cruise, choke cables: note slack and clip, off', short: 'Cables off', when: when('eng-throttle-kind != by-wire'), after: ['rm-photo-tour', 'rm-battery-off'],
    before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-power-off'], support: 'tag', caution: 'A kink in the kick-down cable costs a gearbox later', minutes: [10, 15],
  },
  {
    id: 'rm-booster-hose', phase: 'top side and front', title: 'Booster hose with its valve, then other vacuum lines, each labelled at both ends', short: 'Vacuum lines off', when: when('always'), after: ['rm-photo-tour'], before: ['rm-hoist-on', 'rm-cradle-under'],
    needs: [], support: 'labels, fragile elbow marked', caution: 'Brakes are weak from here: the car is not moved under its own brakes', minutes: [10, 20],
  },
  {
    id: 'rm-front-off', phase: 'top side and front', title: 'Bumper, lamps, front panel carrier in one', short: 'Front off', when: when('rec-install-path = through-the-front'), after: ['~rm-radiator-out', 'rm-ac-recover'], before: ['rm-lift-50'],
    needs: ['st-ac-recovered', 'st-airbags-safe', 'st-power-off'], support: '2 people', caution: 'Airbag sensors in the nose', minutes: [45, 90],
  },
  {
    id: 'rm-front-cut', phase: 'top side and front', title: 'Cut out a bent front panel', short: 'Bent front cut out', when: when('rec-install-path = through-the-front'), onlyIf: 'the shell is scrap', after: ['rm-fate-list', 'rm-radiator-out', 'rm-battery-off'], before: ['rm-lift-50'],
    needs: ['st-hot-work-ok', 'st-power-off', 'st-ac-recovered', 'st-airbags-safe'], support: 'saw rather than flame', caution: 'No cutting near open fuel; sharp edges taped', harm: true, minutes: [15, 30],
  },
  {
    id: 'rm-mid-panels', phase: 'top side and front', title: 'Rear lid, bulkhead panel, seats, under-trays, luggage tub out; firewall shields kept in order', short: 'Panels and tub out', when: when('rec-drive-layout in {mid-engine, rear-engine}'),
    after: ['~rm-battery-off'], before: ['rm-hoist-on', 'rm-cradle-under'], needs: ['st-airbags-safe'], support: '2 people', caution: 'Hot coolant and fuel lines run through the cabin tunnel', minutes: [60, 150],
  },
  {
    id: 'rm-o2-plugs', phase: 'exhaust, turbo, electrics', title: 'Oxygen sensors unplugged, upstream first, marked by bank and place', short: 'Oxygen sensors unplugged', when: when('always'), onlyIf: 'present', after: ['rm-battery-off'],
    before: ['rm-exhaust-front'], needs: ['st-power-off'], support: 'sensor socket', caution: 'Wires twist off: plug before pipe', minutes: [10, 20],
  },
  {
    id: 'rm-exhaust-braces', fasteners: 'out', phase: 'exhaust, turbo, electrics', title: 'Braces and shields under the car; note "out" or "only loosened"; bolt loose ones up again or take them away', short: 'Braces and shields off', when: when('always'),
    onlyIf: 'there are under-body braces', after: ['rm-raise'], before: ['rm-exhaust-front', 'rm-propshaft-off'], needs: [], caution: 'A hanging brace is at head height', minutes: [15, 45],
  },
  {
    id: 'rm-exhaust-front', phase: 'exhaust, turbo, electrics', title: 'Front pipe and catalysts off, supported at two points before the last fastener', short: 'Front pipe off', when: when('always'), onlyIf: 'the exhaust is kept or sold',
    after: ['rm-cool-down', 'rm-o2-plugs', '~rm-penetrant'], before: ['rm-lift-50', 'rm-bell-bolts'], needs: ['st-engine-cold'], needsWords: 'hot-work-ok if heat is used', support: 'stand, strap, helper; swivel socket',
    caution: 'Weight comes free suddenly; studs leave with nuts: list them', minutes: [30, 90],
  },
  {
    id: 'rm-exhaust-cut', phase: 'exhaust, turbo, electrics', title: 'Cut to pieces that come out', short: 'Exhaust cut', when: when('always'), onlyIf: 'the exhaust is scrap', after: ['rm-fate-list', 'rm-cool-down', 'rm-battery-off'], before: ['rm-lift-50'],
    needs: ['st-hot-work-ok', 'st-power-off', 'st-engine-cold'], support: 'reciprocating saw', caution: 'Catalyst dust; sale needs proof of origin in many places', harm: true, minutes: [10, 30],
  },
  {
    id: 'rm-turbo-lines', phase: 'exhaust, turbo, electrics', title: 'Oil feed, oil drain, coolant lines; every end capped', short: 'Turbo lines off', when: when('eng-induction = turbo'), after: ['rm-coolant-drain', '~rm-charge-pipes'],
    before: ['rm-turbo-off'], needs: [], support: 'caps, tray', caution: 'Dirt in the feed kills the next turbo', minutes: [20, 40],
  },
  {
    id: 'rm-turbo-off', phase: 'exhaust, turbo, electrics', title: 'Turbo off held; or left on the engine and tied', short: 'Turbo off', when: when('eng-induction = turbo'), onlyIf: 'it stands in the way or is sold apart',
    after: ['rm-turbo-lines'], before: ['~rm-exhaust-front'], needs: [], support: 'stand or second hand on it', caution: 'Support before the last fastener: it drops', minutes: [30, 75],
  },
  {
    id: 'rm-connectors', phase: 'exhaust, turbo, electrics', title: 'Label and photograph each plug on both halves: circuit, place, where it leaves to', short: 'Plugs labelled', when: when('always'), after: ['rm-battery-off', 'rm-photo-tour'],
    before: ['rm-harness-split', 'rm-fusebox'], needs: ['st-power-off'], support: 'label printer, one id per link', caution: '"Harness off" is not accepted without a picture', minutes: [45, 120],
  },
  {
    id: 'rm-fusebox', phase: 'exhaust, turbo, electrics', title: 'Fuse box open, feed off, engine plugs out from below; bolted bulkhead plugs by their screws, not by pulling', short: 'Fuse box plugs out', when: when('always'),
    onlyIf: 'the engine loom ends in the fuse box', after: ['rm-connectors'], before: ['rm-lift-50'], needs: ['st-power-off'], caution: 'Feed stud torque is wanted at refit (maker\'s figure)', minutes: [20, 45],
  },
  {
    id: 'rm-harness-split', phase: 'exhaust, turbo, electrics', title: 'Follow each branch: goes, stays, spare; engine branches tied in one bundle on the engine', short: 'Harness followed and split', when: when('always'), after: ['rm-fate-list', 'rm-connectors', 'rm-battery-off'],
    before: ['rm-lift-50'], needs: ['st-power-off'], support: 'ties, bag', caution: 'Prefer unplugging to cutting; cut only far from the plug', minutes: [30, 90],
  },
  {
    id: 'rm-ecu-out', phase: 'exhaust, turbo, electrics', title: 'ECU, its bracket, immobiliser parts and key as one set in one box', short: 'Engine unit out', when: when('cho-control != mechanical-diesel'), after: ['rm-battery-off'],
    before: ['~rm-harness-split'], needs: ['st-key', 'st-power-off'], support: 'anti-static bag', caution: 'A set split is a set lost', minutes: [10, 30],
  },
  {
    id: 'rm-straps', phase: 'exhaust, turbo, electrics', title: 'All ground straps found, counted, freed at the body end', short: 'Ground straps freed', when: when('always'), after: ['rm-photo-tour', 'rm-battery-off'], before: ['rm-lift-50'], needs: ['st-power-off'],
    support: 'mirror below', caution: 'A missed strap tears the loom or holds the load', minutes: [10, 20],
  },
  {
    id: 'rm-starter-off', phase: 'exhaust, turbo, electrics', title: 'Starter cable off; starter off if the bell is parted or it fouls', short: 'Starter cable off', when: when('always'), after: ['rm-battery-off', 'rm-crank-tests'],
    before: ['rm-bell-bolts', 'rm-lift-50'], needs: ['st-power-off'], caution: 'Heavy: hand under it', minutes: [15, 45],
  },
  {
    id: 'rm-shift-off', phase: 'driveline, gearbox joint', title: 'Shift rod or cable off in neutral; lever off if it stops the gearbox', short: 'Shift off', when: when('cho-unit-lift in {engine-and-gearbox, on-subframe}'),
    after: ['rm-chock', 'rm-latches'], before: ['rm-propshaft-off', 'rm-crossmember'], needs: ['st-neutral'], caution: 'Park lock gone', minutes: [10, 25],
  },
  {
    id: 'rm-propshaft-off', phase: 'driveline, gearbox joint', title: 'Match-mark flanges, rear joint first, then front, centre bearing last because it carries the shaft; joint caps taped', short: 'Propshaft off',
    when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive} and cho-unit-lift in {engine-and-gearbox, on-subframe}'),
    after: ['rm-chock', 'rm-gearbox-drain', 'rm-exhaust-braces', 'rm-shift-off', 'rm-datum'], before: ['rm-crossmember'], needs: ['st-held', 'st-neutral'], support: 'jack or second person, tail plug',
    caution: 'The car will roll. Two hands for the shaft', minutes: [20, 45],
  },
  {
    id: 'rm-driveshafts-off', phase: 'driveline, gearbox joint', title: 'Ball joint or strut parted, shafts drawn, outlets plugged', short: 'Drive shafts out',
    when: when('rec-drive-layout in {front-transverse, mid-engine, rear-engine, front-longitudinal-all-drive} and cho-unit-lift in {engine-and-gearbox, on-subframe}'), after: ['rm-chock', 'rm-gearbox-drain', 'rm-hub-nuts', 'rm-raise'], before: ['rm-lift-50'], needs: ['st-held'], support: 'puller, plugs',
    caution: 'Do not roll the shell on hub bearings without the stub fitted', minutes: [60, 120],
  },
  {
    id: 'rm-transfer-off', phase: 'driveline, gearbox joint', title: 'Transfer case off, or left on if the exit allows the length and weight', short: 'Transfer case', when: when('rec-drive-layout = front-longitudinal-all-drive and cho-unit-lift in {engine-and-gearbox, on-subframe}'),
    after: ['rm-propshaft-off'], before: ['rm-crossmember'], needs: ['st-gearbox-held'], support: 'gearbox jack, 2 people', caution: 'One-ended weight', minutes: [45, 90],
  },
  {
    id: 'rm-cooler-speedo', phase: 'driveline, gearbox joint', title: 'Gearbox cooler lines, vent tube, speed sensor or cable off and laid on the case', short: 'Gearbox lines and speed sensor off',
    when: when('cho-unit-lift in {engine-and-gearbox, on-subframe} and gbx-kind in {automatic-hydraulic, automatic-electronic, dual-clutch, transaxle-automatic} or cho-unit-lift in {engine-and-gearbox, on-subframe} and gbx-speed-signal in {cable-drive, both}'), after: ['rm-raise'], before: ['rm-crossmember'], needs: [], support: 'caps, tape',
    caution: 'A vent tube snags on the way out', minutes: [15, 30],
  },
  {
    id: 'rm-converter-bolts', fasteners: 'out', phase: 'driveline, gearbox joint', title: 'Plate to converter match-marked, bolts out one by one through the opening, converter pushed back into the gearbox', short: 'Converter bolts out',
    when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, dual-clutch, transaxle-automatic} and cho-unit-lift = engine-alone'), after: ['rm-starter-off'], before: ['rm-bell-bolts'], needs: [],
    support: 'bar on the crank pulley', caution: 'Battery off: nobody cranks. Turn in running direction', minutes: [20, 40],
  },
  {
    id: 'rm-gearbox-held', phase: 'driveline, gearbox joint', title: 'Gearbox on its own jack or stand, strapped', short: 'Gearbox held', when: when('cho-unit-lift = engine-alone or rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive}'), onlyIf: 'the gearbox stays in, or its crossmember leaves', after: ['rm-raise'], before: ['rm-crossmember', 'rm-bell-bolts'],
    needs: [], support: 'gearbox jack', caution: 'Never hangs on input shaft or converter', minutes: [10, 20],
  },
  {
    id: 'rm-crossmember', fasteners: 'out', phase: 'driveline, gearbox joint', title: 'Crossmember and tail mount; break the bolts loose early while the position is good', short: 'Crossmember off', when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive} and cho-unit-lift in {engine-and-gearbox, on-subframe}'),
    after: ['rm-gearbox-held', 'rm-propshaft-off', 'rm-cooler-speedo', 'rm-shift-off'], before: ['rm-lift-50'], needs: ['st-gearbox-held'], caution: 'Some only loosened: write which', minutes: [15, 30],
  },
  {
    id: 'rm-bell-bolts', fasteners: 'out', phase: 'driveline, gearbox joint', title: 'Bell bolts, lower studs first, top two left finger-tight until the hook is on; lengths to the bolt map', short: 'Bell bolts', when: when('cho-unit-lift = engine-alone'),
    after: ['rm-gearbox-held', 'rm-starter-off', 'rm-slave-aside', 'rm-exhaust-front', '~rm-penetrant'], before: ['rm-split'], needs: ['st-gearbox-held'], support: 'long bar', caution: 'Lower studs are often very tight',
    minutes: [30, 75],
  },
  {
    id: 'rm-lift-plan', drawn: 'lift', phase: 'lift and way out', title: 'Mass and centre of gravity of what is lifted, hook place, leveller, tilt at exit, leg angle', short: 'Lift planned', when: when('always'), after: ['rm-exit-choice'], before: ['rm-hoist-on'],
    needs: [], support: 'core sum, hook scale', caution: 'Leg under 30° from horizontal: refused (common practice; ASME B30.9, standard, from memory)', minutes: [10, 20],
  },
  {
    id: 'rm-lift-gear', drawn: 'lift', phase: 'lift and way out', title: 'Sling, shackles, leveller, bolts: rating plate, date, wear; load below the least of them', short: 'Lifting gear looked over', when: when('always'), after: ['rm-lift-plan'], before: ['rm-hoist-on'],
    needs: [], support: 'register', caution: 'No seat belts, rope or unmarked chain; lifting bolts to full thread depth', minutes: [5, 15],
  },
  {
    id: 'rm-hoist-on', drawn: 'lift', phase: 'lift and way out', title: 'Slings on sound points, slack taken, load just on the hook', short: 'Hook on, slack taken', when: when('rec-install-path in {over-the-front, through-the-front, from-behind}'),
    after: ['rm-lift-gear', '~rm-bonnet-off'], before: ['rm-mounts-free', 'rm-split'], needs: ['st-mounts-carry'], support: 'hoist, leveller', caution: 'Not on intake or accessory brackets', minutes: [10, 20],
  },
  {
    id: 'rm-cradle-under', phase: 'lift and way out', title: 'Table or cradle under engine and subframe, load taken, strapped', short: 'Cradle under', when: when('rec-install-path = from-below'), after: ['rm-lift-gear', 'rm-raise'],
    before: ['rm-mounts-free', 'rm-subframe-loose'], needs: [], support: 'lift table', caution: 'It can shift suddenly: strapped before the last bolt', minutes: [15, 30],
  },
  {
    id: 'rm-subframe-loose', phase: 'lift and way out', title: 'Match-mark subframe; steering joint parted with the wheel locked; brake lines, sensors, struts freed', short: 'Subframe freed', when: when('rec-install-path = from-below'),
    after: ['rm-raise', 'rm-exit-choice'], before: ['rm-lift-50'], needs: ['st-load-carried'], support: '2 people', caution: 'Wheel clock spring. Brake circuit opened: no drive before bleed and proof',
    harm: true, minutes: [90, 180],
  },
  {
    id: 'rm-fragile-off', phase: 'lift and way out', title: 'Filter, purge valve, senders, rear fuel elbow, dipstick, brittle intake elbow: off or guarded', short: 'Fragile parts off or guarded', when: when('always'), after: ['rm-photo-tour'],
    before: ['rm-lift-50'], needs: [], support: 'list per engine family', caution: 'They break on the firewall, often unseen', minutes: [10, 30],
  },
  {
    id: 'rm-filter-off', phase: 'lift and way out', title: 'Oil filter off so that it is not struck; face capped', short: 'Oil filter off', when: when('always'), onlyIf: 'the filter stands low or proud', after: ['rm-oil-drain'],
    before: ['~rm-fragile-off'], needs: [], support: 'cap', minutes: [5, 5],
  },
  {
    id: 'rm-mounts-free', drawn: 'lift', fasteners: 'out', phase: 'lift and way out', title: 'Mount fasteners, lower then upper; studs that still trap the mount marked "free but captive"', short: 'Mounts freed', when: when('always'),
    after: ['rm-hoist-on', 'rm-cradle-under', 'rm-datum'], before: ['rm-lift-50'], needs: ['st-load-carried'], caution: 'Load on hook or cradle first; nobody below', harm: true, minutes: [15, 40],
  },
  {
    id: 'rm-fuel-open', phase: 'lift and way out', title: 'Fuel lines last: disconnect, cap both ends, catch the rest, wipe, air the bay', short: 'Fuel lines parted', when: when('always'),
    after: ['rm-fuel-run-dry', 'rm-fuel-valve-bleed', 'rm-fuel-stand-cold', 'rm-fuel-hp-wait', 'rm-battery-off', 'rm-front-cut', 'rm-exhaust-cut', 'rm-exhaust-front', '~rm-mounts-free'], before: ['rm-lift-50'],
    needs: ['st-no-pressure'], support: 'caps, line tool, rag tin, extinguisher', caution: 'No flame, grinder or torch from now until the lines are capped and the bay is aired', harm: true, minutes: [10, 20],
  },
  {
    id: 'rm-split', phase: 'lift and way out', title: 'Separate engine and gearbox straight back, dowels eased alternately; converter kept in the gearbox with a strap', short: 'Engine and gearbox parted', when: when('cho-unit-lift = engine-alone'),
    after: ['rm-bell-bolts', 'rm-converter-bolts', 'rm-hoist-on'], before: ['rm-lift-50'], needs: ['st-load-carried', 'st-gearbox-held'], support: 'dowel oil, wedges at the ears',
    caution: 'Seized steel dowels in aluminium: hours, not force on sealing faces', harm: true, minutes: [15, 45],
  },
  {
    id: 'rm-snag-walk', phase: 'lift and way out', title: 'Second person walks round with the link list: every hose, wire, strap, cable, pipe is free', short: 'Second person walks round', when: when('always'),
    after: ['rm-straps', 'rm-fusebox', 'rm-harness-split', 'rm-fuel-open', 'rm-mounts-free', 'rm-cables', 'rm-booster-hose', 'rm-heater-hoses', 'rm-crossmember', 'rm-driveshafts-off', '~rm-split', 'rm-ps-aside', 'rm-ps-open', 'rm-ac-aside', 'rm-ac-off', 'rm-intake-off', 'rm-alternator', 'rm-fan-out', 'rm-exhaust-front', 'rm-exhaust-cut', 'rm-slave-aside', 'rm-clutch-line', 'rm-cooler-speedo', 'rm-propshaft-off', 'rm-shift-off', 'rm-subframe-loose', 'rm-hose-top', 'rm-turbo-lines', 'rm-starter-off', 'rm-connectors', 'rm-added-parts'],
    before: ['rm-lift-50'], needs: [], support: 'list, torch lamp', caution: 'The same person who disconnected does not sign alone', minutes: [5, 15],
  },
  {
    id: 'rm-lift-50', drawn: 'lift', phase: 'lift and way out', title: 'Raise about 50 mm (common practice), stop, look all round, check tilt and slings', short: 'Lift 50 mm and look', when: when('always'), after: ['rm-snag-walk', 'rm-fragile-off'], before: ['rm-exit'],
    needs: ['st-load-carried'], support: 'one caller, agreed stop word', caution: 'Nobody under or between', harm: true, minutes: [5, 10],
  },
  {
    id: 'rm-exit', drawn: 'lift', phase: 'lift and way out', title: 'Up: tilt, tail down, clear the firewall, then over the front. Front: forward past sump over rack. Down: raise the body off it, clear the tunnel sides', short: 'Lift it out',
    when: when('always'), after: ['rm-lift-50'], before: ['rm-set-down'], needs: [], support: '2 people, pads on painted edges', caution: 'Refusal means something touches: stop, look, do not force', harm: true, minutes: [20, 60],
  },
  {
    id: 'rm-set-down', phase: 'lift and way out', title: 'On cradle or stand at once, low travel; lifting gear taken off and counted', short: 'Set it down', when: when('always'), after: ['rm-exit'], before: ['rm-cap-ports', 'rm-flywheel-off'],
    needs: [], support: 'cradle, 4 bolts of right thread for a stand', caution: 'Never left on the hook; stand rating; sump is no foot', minutes: [10, 20],
  },
  {
    id: 'rm-flywheel-off', phase: 'afterwards', title: 'Clutch and flywheel, or plate, off if it goes on a stand; match-marked, bolts judged for re-use', short: 'Clutch and flywheel off', when: when('always'), onlyIf: 'the engine goes to the stand',
    after: ['rm-set-down'], before: ['rm-compare'], needs: [], needsWords: 'hoist holds it', support: 'locking tool', caution: 'Clutch dust: no blow gun', minutes: [20, 40],
  },
  {
    id: 'rm-cap-ports', phase: 'afterwards', title: 'Cap every open port on car and engine; count caps in the cap register', short: 'Ports capped', when: when('always'), after: ['rm-set-down', '~rm-ps-open'], before: ['rm-wash'], needs: [],
    support: 'caps by size, number series', caution: 'Count out must equal count in', alsoWithoutEngine: true, minutes: [10, 25],
  },
  {
    id: 'rm-ps-loop', phase: 'afterwards', title: 'Steering gear feed and return joined with a spare hose; written as temporary', short: 'Steering lines looped', when: when('always'), onlyIf: 'steering lines are open', after: ['rm-ps-open'],
    before: ['rm-wash'], needs: [], support: 'hose, two clamps', caution: 'Loop off before first use: blocks the start gate', alsoWithoutEngine: true, minutes: [5, 10],
  },
  {
    id: 'rm-keep-list', phase: 'afterwards', title: 'Senders, switches, brackets, hoses, throttle body, mount arms the new engine needs: taken, bagged, or engine locked against sale', short: 'Parts kept back', role: 'own', when: when('always'),
    after: ['rm-set-down'], before: ['rm-old-away'], needs: [], support: 'transfer list in prep.md', caution: 'No disposal until the list is empty', minutes: [20, 60],
  },
  {
    id: 'rm-compare', phase: 'afterwards', title: 'Old and new engine side by side: outlets, mounts, senders, sump, flange, length; photo each difference', short: 'Old and new side by side', role: 'own', when: when('always'), after: ['rm-set-down'],
    before: ['rm-old-away'], needs: [], needsWords: 'both engines reachable', support: 'same scale in the picture', minutes: [30, 60],
  },
  {
    id: 'rm-holes-list', phase: 'afterwards', title: 'List of holes, plugs and brackets that the removed system leaves in the body', short: 'Holes listed', when: when('always'), after: ['rm-set-down'], before: [], needs: [],
    support: 'openings register', caution: 'Open hole to cabin: gas and water', alsoWithoutEngine: true, minutes: [10, 20],
  },
  {
    id: 'rm-shell-rolls', phase: 'afterwards', title: 'Subframe or stub axles back, steering joined, chocks, tarpaulin: shell can be moved and stays dry', short: 'Shell made to roll', when: when('always'), after: ['rm-set-down'], before: ['~rm-wash'],
    needs: ['st-held'], support: 'stub bolts', caution: 'No brakes: winch or people, not a slope', alsoWithoutEngine: true, minutes: [30, 120],
  },
  {
    id: 'rm-wash', phase: 'afterwards', title: 'Scrape, cap, degrease, soak, rinse, dry; electrics and bearings shielded; waste water by code', short: 'Bay washed', role: 'own', when: when('always'), after: ['rm-cap-ports', 'rm-ps-loop'],
    before: ['rm-structure'], needs: [], support: 'pressure washer, soak timer', caution: 'Eye and skin; oily water is not for the drain', alsoWithoutEngine: true, minutes: [60, 180],
  },
  {
    id: 'rm-structure', phase: 'afterwards', title: 'Rails, towers, mounts, welds, brake and fuel lines, column joint looked at clean, measured, photographed', short: 'Structure looked over', when: when('always'), after: ['rm-wash'],
    before: ['rm-bay-paint'], needs: [], support: 'tram gauge or tape diagonals', caution: 'Bent or cracked rail: body specialist decides, not the swap', alsoWithoutEngine: true, minutes: [30, 90],
  },
  {
    id: 'rm-bay-hot', phase: 'afterwards', title: 'Weld, cut, drill for the new mounts and blank holes before any paint', short: 'Welding in the bay', role: 'own', when: when('always'), after: ['rm-structure'], before: ['rm-bay-paint'],
    needs: ['st-hot-work-ok'], support: 'extinguisher, fire watch', caution: 'Structure welded by a qualified welder; local code first', harm: true, alsoWithoutEngine: true, minutes: [0, 0],
  },
  {
    id: 'rm-bay-paint', phase: 'afterwards', title: 'Mask, one-shade primer, engine-bay enamel, unmask; earth points and mount faces kept bare', short: 'Bay painted', role: 'own', when: when('always'), onlyIf: 'painting is agreed',
    after: ['rm-structure', 'rm-bay-hot'], before: [], needs: [], needsWords: 'dry shell', support: 'respirator fit for the paint', caution: 'Isocyanate paints: supplied air, local code', alsoWithoutEngine: true, minutes: [120, 360],
  },
  {
    id: 'rm-old-away', phase: 'afterwards', title: 'Old engine sold, stored or scrapped; oil-free, gear retrieved, papers', short: 'Old engine away', role: 'own', when: when('always'), after: ['rm-keep-list', 'rm-compare'], before: [], needs: [],
    caution: 'Cores may be owed back to a supplier', minutes: [20, 40],
  },
];
