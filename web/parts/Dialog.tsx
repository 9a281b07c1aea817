import { useState, type ReactNode } from 'react';
import { Modal, type ModalProps } from 'antd';
import { useCovering } from './covering';
import './Dialog.css';

/** The attribute of the field that has the focus when its dialog opens. */
const FIRST = 'data-first';

/** A dialog that is there only from when it is opened until it has closed: one that nobody looks at costs nothing. */
export function Dialog({ open = false, afterClose, ...props }: ModalProps): ReactNode {
  const [isThere, setThere] = useState(open);
  useCovering(open);
  if (open && !isThere) setThere(true);
  if (!isThere) return null;
  return (
    <Modal
      {...props}
      open={open}
      // The package puts the focus on the first thing that takes it, which is the button that closes.
      afterOpenChange={(isOpen) => {
        if (isOpen) document.querySelector<HTMLElement>(`.ant-modal [${FIRST}]`)?.focus();
      }}
      afterClose={() => {
        setThere(false);
        afterClose?.();
      }}
    />
  );
}
