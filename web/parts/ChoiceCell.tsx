import type { ReactNode } from 'react';
import { Select } from 'antd';
import { RestingChoice } from './RestingChoice';

/** One of a list of words, plain until somebody goes there. */
export function ChoiceCell({
  label,
  chosen,
  options,
  placeholder = '',
  onChoose,
}: {
  label: string;
  chosen: string | undefined;
  options: readonly { readonly value: string; readonly label: string }[];
  placeholder?: string;
  onChoose: (value: string) => void;
}): ReactNode {
  const words = options.find(({ value }) => value === chosen)?.label;
  return (
    <RestingChoice label={label} rest={words ?? <span className="quiet">{placeholder}</span>}>
      {(open) => (
        <Select
          size="small"
          variant="borderless"
          showSearch={{ optionFilterProp: 'label' }}
          aria-label={label}
          defaultOpen={open}
          value={chosen}
          placeholder={placeholder || ' '}
          options={[...options]}
          popupMatchSelectWidth={false}
          // Told of what is chosen again, too: some choices do something and do not stay.
          onSelect={onChoose}
        />
      )}
    </RestingChoice>
  );
}
