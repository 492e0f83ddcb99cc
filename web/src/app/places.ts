/** Where one can go, with the key that goes there after `g`. */
export const places: readonly { key: string; to: string; name: string; inHead: boolean }[] = [
  { key: 'f', to: '/', name: 'Floor', inHead: true },
  { key: 'b', to: '/bench', name: 'My bench', inHead: true },
  { key: 'w', to: '/waiting', name: 'Waiting for you', inHead: false },
  { key: 'l', to: '/logbook', name: 'Every logbook', inHead: false },
  { key: 't', to: '/tried', name: 'Tried parts', inHead: false },
  { key: 'o', to: '/orders', name: 'Orders', inHead: true },
  { key: 'p', to: '/store', name: 'Store', inHead: true },
  { key: 'u', to: '/units', name: 'Units', inHead: true },
  { key: 's', to: '/schools', name: 'Schools', inHead: true },
  { key: 'r', to: '/rules', name: 'Rules of the shop', inHead: false },
  { key: 'm', to: '/sums', name: 'Sums', inHead: true },
  { key: 'd', to: '/wall', name: 'The wall, days ahead', inHead: false },
  { key: 'c', to: '/crew', name: 'Crew', inHead: true },
];
