import { useLayoutEffect, useRef, useState, type MouseEvent, type ReactNode } from 'react';
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
      // Enter in a field is done with it, as in every form; where the field itself has taken the key, it was for that.
      modalRender={(dialog) => (
        <div
          onKeyDown={(event) => {
            const field = event.target instanceof HTMLInputElement && isOneLine(event.target);
            if (event.key !== 'Enter' || event.defaultPrevented || !field) return;
            if (props.footer === null || props.okButtonProps?.disabled) return;
            event.preventDefault();
            props.onOk?.(event as unknown as MouseEvent<HTMLButtonElement>);
          }}
        >
          {dialog}
          <FocusFirst />
        </div>
      )}
      // The package puts the focus on the first thing that takes it, which is the button that closes; who types already, goes on.
      afterOpenChange={(isOpen) => {
        if (isOpen && !isTypedInto(document.activeElement))
          document.querySelector<HTMLElement>(`.ant-modal [${FIRST}]`)?.focus();
      }}
      afterClose={() => {
        setThere(false);
        afterClose?.();
      }}
    />
  );
}

/**
 * Gives the first field the focus as soon as it is in the page, before the next key: what is typed right behind the key that
 * opened a dialog is meant for it. The package waits until the dialog has faded in.
 */
function FocusFirst(): ReactNode {
  const here = useRef<HTMLSpanElement>(null);
  useLayoutEffect(() => {
    const around = here.current?.parentElement;
    // The package puts what it draws into the page in the same go, after this.
    queueMicrotask(() => around?.querySelector<HTMLElement>(`[${FIRST}]`)?.focus());
  }, []);
  return <span ref={here} hidden />;
}

/** Whether it is a field of a dialog. */
function isTypedInto(active: Element | null): boolean {
  return active?.matches('.ant-modal :is(input, textarea)') === true;
}

/** Whether Enter in a field has no meaning of its own: none that is part of a list, or ticked. */
function isOneLine(field: HTMLInputElement): boolean {
  return (
    field.getAttribute('role') !== 'combobox' && !/^(checkbox|radio|button|file)$/.test(field.type)
  );
}
