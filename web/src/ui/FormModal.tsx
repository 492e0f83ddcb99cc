import { Button, Modal } from '@mantine/core';
import { Trouble } from './Trouble.tsx';

/** A form in a dialog: its fields, what went wrong with the last try, and one button that sends it. */
export function FormModal({
  title,
  submit,
  of,
  disabled = false,
  onSubmit,
  close,
  children,
}: {
  title: string;
  submit: string;
  of: { error: unknown; isPending: boolean };
  disabled?: boolean;
  onSubmit: () => void;
  close: () => void;
  children: React.ReactNode;
}) {
  return (
    <Modal opened onClose={close} title={title}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (!disabled && !of.isPending) onSubmit();
        }}
      >
        {children}
        <Trouble of={of} />
        <div className="row-actions">
          <Button type="submit" loading={of.isPending} disabled={disabled}>
            {submit}
          </Button>
        </div>
      </form>
    </Modal>
  );
}
