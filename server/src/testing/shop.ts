import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { makeShop } from '../crew/routes.ts';
import { Client, commandId } from './harness.ts';
import type { TestServer } from './harness.ts';

export interface TestShop {
  manager: Client;
  technician: Client;
  onlooker: Client;
  /** One more device of the shop, signed in by the manager. */
  tablet: () => Promise<Client>;
  people: { manager: string; technician: string; onlooker: string };
}

/** A shop with a manager, a technician and an onlooker, each at a device of their own. */
export async function shopWithCrew(server: TestServer, mark: string): Promise<TestShop> {
  const email = `boss-${mark}@shop.example`;
  const { personId } = await makeShop(server.db, {
    shopName: `Shop ${mark}`,
    bays: ['1', '2'],
    name: `Boss ${mark}`,
    initials: 'BO',
    email,
    password: 'long enough word',
    pin: '1111',
  });
  const signIn = async (): Promise<Client> => {
    const client = new Client(server.url);
    await client.good(crew.signIn, { body: { email, password: 'long enough word' } });
    return client;
  };
  const manager = await signIn();
  const add = async (name: string, role: 'technician' | 'onlooker', pin: string): Promise<[Client, string]> => {
    const { person } = await manager.good(crew.addPerson, {
      body: { commandId: commandId(), name, initials: name.slice(0, 2), role, pin },
    });
    const client = await signIn();
    await client.good(crew.switchPerson, { body: { personId: person.id, pin } });
    return [client, person.id];
  };
  const [technician, technicianId] = await add(`Tess ${mark}`, 'technician', '2222');
  const [onlooker, onlookerId] = await add(`Olu ${mark}`, 'onlooker', '3333');
  return {
    manager,
    technician,
    onlooker,
    tablet: signIn,
    people: { manager: personId, technician: technicianId, onlooker: onlookerId },
  };
}

/** Every car has a plate of its own, and the first stands in the first bay. */
let booked = 0;

export async function bookedJob(client: Client, name = '1984 Test camper'): Promise<string> {
  const { job } = await client.good(jobs.bookIn, {
    body: {
      commandId: commandId(),
      car: { name, modelYear: 1975, identity: `CH-${20188 + booked}` },
      customer: 'A. Customer',
      wish: 'quiet',
      ownEngine: '1.6 four',
      ...(booked++ === 0 ? { bay: '1' } : {}),
    },
  });
  return job.id;
}
