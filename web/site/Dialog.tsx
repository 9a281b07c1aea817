import { useState, type ReactNode } from 'react';
import { Modal, type ModalProps } from 'antd';

/** A dialog that is there only from when it is opened until it has closed: one that nobody looks at costs nothing. */
export function Dialog({ open = false, afterClose, ...props }: ModalProps): ReactNode {
  const [isThere, setThere] = useState(open);
  if (open && !isThere) setThere(true);
  if (!isThere) return null;
  return (
    <Modal
      {...props}
      open={open}
      afterClose={() => {
        setThere(false);
        afterClose?.();
      }}
    />
  );
}
