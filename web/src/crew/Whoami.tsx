import { Button, useMantineColorScheme } from '@mantine/core';
import { lockTablet, signOut } from '@bay/contract/crew';
import { call, useEntering, useMe } from '../api/index.ts';
import { Dialog, dropAllDrafts } from '../ui/index.ts';
import { PickPerson } from './Tablet.tsx';

/** Who is at this device: somebody else, nobody, out; and day or night. */
export default function Whoami({ close }: { close: () => void }) {
  const me = useMe();
  const locking = useEntering(() => call(lockTablet));
  const leaving = useEntering(() => {
    dropAllDrafts();
    return call(signOut);
  });
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  return (
    <Dialog close={close} title={`${me.data?.person?.name ?? ''}, ${me.data?.person?.role ?? ''}`} size="lg">
      <h3>Somebody else is here</h3>
      <div style={{ margin: '10px 0 20px' }}>
        <PickPerson onDone={close} />
      </div>
      <div className="row-actions">
        <Button variant="default" onClick={() => setColorScheme(colorScheme === 'dark' ? 'light' : 'dark')}>
          {colorScheme === 'dark' ? 'Daylight' : 'Night shift'}
        </Button>
        <Button variant="default" onClick={() => locking.mutate(undefined)}>
          Nobody is here
        </Button>
        <Button variant="subtle" onClick={() => leaving.mutate(undefined)}>
          Sign this device out
        </Button>
      </div>
    </Dialog>
  );
}
