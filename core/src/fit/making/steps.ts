/** How parts are made in a shop: the steps of each sort in their order. Common practice, no source; whose work it is goes first. */

export const makingSorts = [
  'bracket',
  'radiator-mount',
  'pipe',
  'shield',
  'first-off',
  'plate',
  'cut-off',
  'structure',
] as const;
export type MakingSort = (typeof makingSorts)[number];

export const makingWords: Readonly<Record<MakingSort, string>> = {
  bracket: 'Bracket or mount arm',
  'radiator-mount': 'Mounts of a radiator',
  pipe: 'Pipe, cut and welded',
  shield: 'Heat shields and sleeves of one side',
  'first-off': 'Printed part, or the first of its kind',
  plate: 'Opening in firewall or tunnel, with its plate',
  'cut-off': 'Old mount or bracket cut off for a new one',
  structure: 'Structure or crossmember altered',
};

export interface MakingStep {
  /** Of steps of other sorts only those have the same that are the same. */
  id: string;
  title: string;
  how: string;
  caution?: string;
  /** What is to be said at it, by the words of its field. */
  said?: string;
  /** What is to be read at it, mm, with the most it may be and why. */
  mm?: { label: string; most?: number; why?: string };
  /** A photo shows it. */
  photo?: true;
  /** Done by somebody else than did that step. */
  notBy?: string;
}

const bare: MakingStep = {
  id: 'bare',
  title: 'Coating named and ground off round the weld',
  how: '25 mm bare on both sides; rod, wire and work clean and dry',
  said: 'Which coating it was',
  caution:
    'Zinc, cadmium and coatings nobody knows give off poison when they are welded: bare metal, filter mask, moving air. No chlorinated cleaner near an arc. The maker’s sheet and local rules go first.',
};
const weld = (id: string, title: string): MakingStep => ({
  id,
  title,
  how: 'ports and core covered; flat faces, an even gap; left to cool by itself',
  said: 'Who welded, and what they are qualified for',
  caution:
    'Gloves, shade, fire watch for half an hour after. In the car: battery and control units off, undercoat and trim away, extinguisher at hand.',
});
const refit: MakingStep = {
  id: 'refit',
  title: 'Refitted, looked at a last time',
  how: 'every bolt by hand to its end; the gaps round it read again',
  photo: true,
};

export const makingSteps: Readonly<Record<MakingSort, readonly MakingStep[]>> = {
  bracket: [
    {
      id: 'template',
      title: 'Template held where it goes',
      how: 'paper or card; neighbours fitted, unit on its own mounts',
    },
    {
      id: 'offer',
      title: 'Cut long and offered up',
      how: 'cut long, try, then the last cut; what can be altered in place is altered before it comes off',
    },
    { id: 'mark', title: 'Tacked or marked in place', how: 'two tacks, or three witness marks; slope and sides read' },
    bare,
    weld('weld', 'Taken off and welded'),
    {
      id: 'holes',
      title: 'Holes drilled square, edges broken',
      how: 'drilled only now that its place is final; sizes for thread and clearance are among the sums',
    },
    refit,
  ],
  'radiator-mount': [
    { id: 'cover', title: 'Cap off, core covered', how: 'board on both faces; nothing hot near the tanks' },
    {
      id: 'place',
      title: 'Place found with its neighbours fitted',
      how: 'fan, shroud, hoses on, hood shut over it; the fan turns free and air goes through the core, not round it',
    },
    { id: 'tack-both', title: 'Brackets tacked on body and core', how: 'rubber in between already' },
    bare,
    weld('weld', 'Taken off and welded'),
    { id: 'drill', title: 'Holes drilled', how: 'only now that its place is final' },
    {
      id: 'push',
      title: 'Push test',
      how: 'leaned on from both sides and shaken: it moves in its rubber and nowhere else',
      said: 'What gave, or that nothing did',
    },
    refit,
  ],
  pipe: [
    {
      id: 'length',
      title: 'Wanted and actual length read',
      how: 'from a fixed feature, flanges parallel; wanted less actual is what is cut, the sums have it',
      mm: { label: 'To be cut off or put in' },
    },
    {
      id: 'flanges',
      title: 'Flanges parallel',
      how: 'the gap between the faces read all round',
      mm: {
        label: 'Widest less narrowest gap',
        most: 1,
        why: 'Not parallel yet: 1 mm at the most all round, or the cut is crooked.',
      },
    },
    {
      id: 'cut',
      title: 'Cut long, tried, cut to length',
      how: 'a tape round the pipe is the square; what can be altered in place is altered before it comes off',
    },
    { id: 'tack', title: 'Tacked in place', how: 'three tacks; flanges bolted to their neighbours' },
    bare,
    weld('weld', 'Taken off and welded'),
    {
      id: 'leak',
      title: 'Leak looked for',
      how: 'blown into with soap on the seam, or run cold',
      said: 'What was found',
    },
    refit,
  ],
  shield: [
    {
      id: 'factory',
      title: 'Shields of car and engine on this side counted',
      how: 'by the parts picture of both: what is missing is ordered, what is loose rattles through',
      said: 'Which are there, and which are missing',
    },
    {
      id: 'pieces',
      title: 'Pieces and layers laid down on paper',
      how: 'each line near the heat: its length there, outside over the joints, layers, gap that is left; the sums have it',
      said: 'Pieces with length, bore and layers',
      mm: { label: 'Least gap that is left to the heat' },
    },
    {
      id: 'order',
      title: 'Order of sliding on',
      how: 'what has an end free goes first; slit sleeves with their slit away from the heat, tied with metal',
      said: 'Which goes on before which joint is closed',
    },
    {
      id: 'joints',
      title: 'Welds and clamps photographed before a sleeve hides them',
      how: 'leak looked for first: under a sleeve it is found by its smoke',
      photo: true,
    },
    {
      id: 'on',
      title: 'Slid on, tied, ends past the hot part',
      how: '50 mm over each end; metal ties only, nothing within reach that burns',
      caution: 'Glass and ceramic cloth: gloves, mask, no blowing off.',
    },
    {
      id: 'hot',
      title: 'Looked at again after the first heat',
      how: 'cold again: gaps read, ties drawn, no smell of plastic',
      mm: { label: 'Least gap, after the first heat' },
    },
  ],
  'first-off': [
    {
      id: 'faces',
      title: 'Sizes of the factory faces kept',
      how: 'bolt circle, sealing face, depth read on the part that it follows',
      mm: {
        label: 'Largest step against the factory face',
        most: 0.5,
        why: 'More than half a millimetre at a sealing face leaks or bends a flange.',
      },
    },
    {
      id: 'fit-only',
      title: 'Marked: for fit only',
      how: 'paint or tape that nobody overlooks; a printed part bears no boost, no heat, no fuel',
      said: 'What it stands in for, and where it is marked',
      caution: 'A printed stand-in lets go under boost or heat: the engine is not started on it.',
    },
    {
      id: 'trial',
      title: 'Tried in its place with all neighbours on',
      how: 'bolts by hand to their end, hood shut, engine rocked; before any coating or plating',
      photo: true,
    },
    {
      id: 'final',
      title: 'Final part beside the one that was tried',
      how: 'what was altered at the trial is altered on it; same faces read again',
      mm: {
        label: 'Largest difference to the one that was tried',
        most: 0.5,
        why: 'It is another part than the one that fitted.',
      },
    },
    {
      id: 'tested',
      title: 'Tested before boost or heat',
      how: 'pressure held cold, or a run without load, looked at after',
      said: 'How it was tested, and what was found',
    },
    {
      id: 'coat',
      title: 'Coated, only now',
      how: 'faces masked; thickness counts at a fit',
      said: 'With what, or that it stays bare',
    },
    refit,
  ],
  plate: [
    {
      id: 'gauge',
      title: 'Opening marked by a gauge',
      how: 'a plate as large as the flexplate, with room to lower the unit past it; time is kept for small moves at the first drop',
    },
    {
      id: 'behind',
      title: 'What lies behind is out of the way',
      how: 'loom, carpet, sound mat, fuel and brake lines; fire watch named',
      said: 'What was moved, and the fire watch',
      caution: 'Fuel, brake and air-conditioning lines and airbag looms hide behind such panels: found before the cut.',
    },
    { id: 'cut-out', title: 'Cut', how: 'seams and braces stay; corners rounded' },
    {
      id: 'overlap',
      title: 'Plate made, overlapping all round',
      how: 'bent to the panel, held with clamps',
      mm: { label: 'Least overlap' },
    },
    bare,
    weld('weld-in', 'Welded or riveted in'),
    {
      id: 'seal',
      title: 'Sealed and guarded from rust',
      how: 'both sides; seam sealer, paint, wax',
      said: 'With what',
    },
    refit,
  ],
  'cut-off': [
    {
      id: 'dry',
      title: 'New one tried with the old one still on',
      how: 'held or clamped where it goes; unit on its own mounts, gaps read: the old one cannot be put back',
    },
    {
      id: 'yes',
      title: 'The customer’s yes',
      how: 'asked for what is cut off and why; it cannot be undone',
      said: 'Who agreed, and when',
    },
    { id: 'before', title: 'Old beside new, photographed', how: 'left and right marked, a ruler in view', photo: true },
    {
      id: 'cut-away',
      title: 'Old one cut off, ground flush',
      how: 'cut a little proud, ground down; the panel under it stays whole',
      caution:
        'Unit held up by the hoist or a stand before its mount goes. Sparks fly far: fuel lines and undercoat covered.',
    },
    bare,
    weld('weld-on', 'New one welded or bolted'),
    refit,
  ],
  structure: [
    {
      id: 'approval',
      title: 'Approved',
      how: 'by whom the law asks: engineer, inspecting body; and by the customer',
      said: 'Who approved it, and where that is written',
      caution:
        'Structure, crossmembers and steering keep people alive: nobody cuts before somebody qualified has agreed.',
    },
    {
      id: 'metal',
      title: 'What is taken, and the wall that stays',
      how: 'marked on the metal before any of it goes',
      said: 'What is taken, and what is put in for it',
      mm: { label: 'Wall that stays' },
    },
    {
      id: 'protect',
      title: 'Battery and control units off, undercoat away',
      how: 'extinguisher at hand, fire watch named',
      said: 'The fire watch',
    },
    bare,
    weld('weld-structure', 'Welded by a qualified person'),
    {
      id: 'inspect',
      title: 'Looked over by another person',
      how: 'not by whoever welded it: seam, roots, alignment',
      said: 'What was looked at, and how',
      notBy: 'weld-structure',
    },
    { id: 'guard', title: 'Guarded from rust inside and out', how: 'wax into the hollow', said: 'With what' },
    { id: 'shown', title: 'Photographed, for the papers at hand over', how: 'before anything hides it', photo: true },
  ],
};
