import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Form, Input, Radio, Select } from 'antd';
import { NumberField } from '../../values/NumberField';
import { Dialog } from '../../parts/Dialog';
import { SuggestField } from '../../parts/SuggestField';
import type { SiteRequest, SiteSummary } from '@sormet/core/api';
import { api, ApiProblem } from '../../site/api';
import { slugOf } from '@sormet/core/model';
import type { LookName } from '@sormet/core/ready';
import { LANGUAGES } from './languages';
import { LookChoice } from './LookChoice';
import './MakeSite.css';

interface Asked {
  begins: 'empty' | 'start' | 'copy';
  copy: string;
  name: string;
  slug: string;
  language: string;
  width: number;
  look: LookName;
}

const FIRST: Asked = {
  begins: 'start',
  copy: '',
  name: '',
  slug: '',
  language: 'en',
  width: 720,
  look: 'quiet',
};

/** Makes a site: how it begins, what it is called, in which language, and its first narrower width. */
export function MakeSite({
  open,
  sites,
  onClose,
}: {
  open: boolean;
  sites: readonly SiteSummary[];
  onClose: () => void;
}): ReactNode {
  const navigate = useNavigate();
  const [form] = Form.useForm<Asked>();
  const [busy, setBusy] = useState(false);
  const name = Form.useWatch('name', form) ?? '';
  const begins = Form.useWatch('begins', form) ?? FIRST.begins;
  const [isWrong, setWrong] = useState(false);
  const make = (asked: Asked) => {
    const request: SiteRequest = {
      begins: asked.begins === 'copy' ? { copy: asked.copy } : asked.begins,
      name: asked.name.trim(),
      slug: asked.slug || slugOf(asked.name, 'site'),
      language: asked.language,
      // A copy is not asked for one: it has the widths of what it is a copy of.
      width: asked.width ?? FIRST.width,
      ...(asked.begins === 'copy' ? {} : { look: asked.look }),
    };
    setBusy(true);
    api.makeSite(request).then(
      (site) => void navigate(`/sites/${site.id}`),
      (problem: Error) => {
        setBusy(false);
        const at = problem instanceof ApiProblem ? problem.more['pointer'] : undefined;
        const field = at === '/name' ? 'name' : at === '/language' ? 'language' : 'slug';
        form.setFields([{ name: field, errors: [problem.message] }]);
      },
    );
  };
  return (
    <Dialog
      open={open}
      title="Make a site"
      okText="Make the site"
      cancelText="Leave it"
      confirmLoading={busy}
      okButtonProps={{ disabled: isWrong && begins !== 'copy' }}
      onOk={() => form.submit()}
      onCancel={onClose}
      destroyOnHidden
    >
      <Form<Asked>
        form={form}
        layout="vertical"
        className="make-site"
        initialValues={{ ...FIRST, copy: sites[0]?.id ?? '' }}
        onFinish={make}
      >
        <Form.Item name="begins" label="Begins">
          <Radio.Group
            options={[
              { value: 'start', label: 'with some pages and news' },
              { value: 'empty', label: 'empty, with a surround' },
              ...(sites.length > 0 ? [{ value: 'copy', label: 'as a copy' }] : []),
            ]}
          />
        </Form.Item>
        {begins === 'copy' ? (
          <Form.Item name="copy" label="A copy of">
            <Select options={sites.map(({ id, name: label }) => ({ value: id, label }))} />
          </Form.Item>
        ) : null}
        <Form.Item
          name="name"
          label="Name"
          rules={[{ required: true, whitespace: true, message: 'A site has a name.' }]}
        >
          <Input autoFocus data-first="" maxLength={120} />
        </Form.Item>
        <Form.Item
          name="slug"
          label="Address"
          rules={[
            {
              pattern: /^[a-z0-9]+(-[a-z0-9]+)*$/,
              message: 'Small letters, digits and single hyphens.',
            },
          ]}
        >
          <Input suffix=".localhost" placeholder={slugOf(name, 'site')} maxLength={120} />
        </Form.Item>
        <Form.Item
          name="language"
          label="Language of its pages"
          rules={[
            {
              pattern: /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/,
              message: 'A language tag such as en or de-AT (BCP 47).',
            },
          ]}
        >
          <LanguageField />
        </Form.Item>
        {begins === 'copy' ? null : (
          <Form.Item
            name="width"
            label="First narrower width, up to (px)"
            extra="Declarations at this width hold on screens that are as wide or narrower."
          >
            <NumberField
              // What may not be keeps the dialog open: nothing is lost with it.
              lost={() => undefined}
              onWrong={setWrong}
              label="First narrower width, up to (px)"
              language="en"
              least={200}
              most={4000}
              whole
            />
          </Form.Item>
        )}
        {begins === 'copy' ? null : (
          <Form.Item name="look" label="Looks at first" extra="All of it can be changed later.">
            <LookChoice />
          </Form.Item>
        )}
      </Form>
    </Dialog>
  );
}

/** The language of a site: one of those that are suggested, or any tag. The form gives what is not said here. */
function LanguageField({
  id = '',
  value = '',
  onChange = () => undefined,
}: {
  id?: string;
  value?: string;
  onChange?: (tag: string) => void;
}): ReactNode {
  const typed = value.toLowerCase();
  const fitting = LANGUAGES.filter(({ label }) => label.toLowerCase().includes(typed));
  return (
    <SuggestField
      id={id}
      value={value}
      suggestions={fitting.length > 0 ? fitting : LANGUAGES}
      onType={onChange}
      onChoose={onChange}
    />
  );
}
