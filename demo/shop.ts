/** The demo shop: invented people in an invented town. */
export const demoShop = {
  shopName: 'Quarry Road Engine Works',
  bays: ['1', '2', '3'],
  currency: 'EUR',
  /** In cents. */
  terms: {
    hour_rate: 78_00,
    hour_cost: 47_00,
    price_unit: 100,
    markup: 12,
    sundries: 5,
    tax: 20,
    deposit: 30,
    valid_days: 30,
  },
  manager: {
    name: 'Maren Holt',
    initials: 'MH',
    email: 'maren@quarryroad.example',
    password: 'quarry-road-demo',
    pin: '1000',
  },
  crew: [
    { name: 'Osk Tiller', initials: 'OT', role: 'technician', pin: '2001' },
    { name: 'Jun Varga', initials: 'JV', role: 'technician', pin: '2002' },
    { name: 'Della Pruitt', initials: 'DP', role: 'technician', pin: '2003' },
    { name: 'Rafe Songhurst', initials: 'RS', role: 'technician', pin: '2004' },
    { name: 'Yard Office', initials: 'YO', role: 'onlooker', pin: '3000' },
  ],
  rules: [
    {
      id: 'own-heat-shield-over-the-starter-q1r2',
      line: {
        sort: 'step',
        title: 'Heat shield over the starter',
        why: 'the solenoid cooks beside a turbo and the car does not restart hot',
        station: 'connect',
        minutes: [40, 90],
        people: 1,
      },
      when: 'eng-induction in {turbo, supercharger}',
    },
  ],
  schools: { 'sch-clamps': 'sch-clamps-b', 'sch-fan-side': 'sch-fan-side-a', 'sch-mounts': 'sch-mounts-b' },
  /** Places of the store as they stand on the floor: name, sort, from left and top, wide and deep, what it holds, dry. */
  places: [
    ['shelf C2', 'shelf', 0, 0, 7, 3, 20, true],
    ['shelf C3', 'shelf', 7, 0, 7, 3, 20, true],
    ['shelf C4', 'shelf', 14, 0, 7, 3, 12, true],
    ['shelf D1', 'shelf', 0, 5, 7, 3, 12, true],
    ['tray 3', 'box', 8, 5, 4, 3, null, true],
    ['engine rack', 'rack', 24, 0, 6, 8, 4, true],
    ['yard, row 2', 'yard', 32, 0, 8, 10, null, false],
  ],
} as const;
