import { Modal } from '@mantine/core';
import type { ModalProps } from '@mantine/core';
import { useRef } from 'react';
import { Form } from './Form.tsx';
import { useReturnFocus } from './useReturnFocus.ts';
import type { Saved } from './useReturnFocus.ts';
import type { Typed } from './useForm.ts';

/** A dialog that is open as long as it is there; the focus goes back to what opened it. */
export function Dialog({
  title,
  close,
  saved,
  children,
  ...rest
}: Omit<ModalProps, 'opened' | 'onClose' | 'title'> & {
  title: React.ReactNode;
  close: () => void;
  saved?: Saved;
}) {
  useReturnFocus(saved);
  return (
    <Modal opened onClose={close} title={title} closeButtonProps={{ 'aria-label': 'Shut this' }} {...rest}>
      {children}
    </Modal>
  );
}

/** A form in a dialog, which closes when it is sent. */
export function FormDialog<V extends Typed, I>({
  title,
  close,
  size,
  ...form
}: { title: string; close: () => void; size?: string } & Omit<React.ComponentProps<typeof Form<V, I>>, 'after'>) {
  const saved = useRef(false);
  return (
    <Dialog title={title} close={close} saved={saved} {...(size ? { size } : {})}>
      <Form
        {...form}
        after={() => {
          saved.current = true;
          close();
        }}
      />
    </Dialog>
  );
}
