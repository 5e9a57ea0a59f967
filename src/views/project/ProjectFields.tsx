import { useEffect } from 'react';
import { CARES, CARE_WORDS } from '../../core/choose';
import { projectSchema } from '../../schemas/projects';
import type { Project } from '../../store/projects';
import FormErrors from '../../ui/form/FormErrors';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import { readNumber } from '../../ui/form/reading';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { useKeptForm } from '../../ui/form/use-kept-form';

interface Props {
  project: Project;
  /** What the server refused, when it did. */
  refused: Error | undefined;
  /** Says whether it was saved. */
  onSave: (fields: Partial<Project>) => Promise<boolean>;
  onClose: () => void;
}

/** Name, note, variant and care of a project, and how many of it are made. */
export default function ProjectFields({ project, refused, onSave, onClose }: Props) {
  const of = useKeptForm({
    key: `project ${project.id} ${project.version}`,
    schema: projectSchema,
    start: () => ({
      ...{ name: project.name, note: project.note, variant: project.variant },
      care: project.care ?? 'unsaid',
      makes: String(project.makes),
    }),
    read: ({ name, note, variant, care, makes }) => ({
      ...{ name: name.trim(), note, variant: variant.trim() },
      care: care === 'unsaid' ? null : care,
      makes: readNumber('makes', makes, ''),
      ...{ notions: project.notions, archived: project.archived },
    }),
  });
  const { field, form, refuse } = of;
  useEffect(() => {
    if (refused) refuse(refused);
    // Each refusal is told once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [refused]);
  return (
    <form
      className="space-y-3"
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((fields) => onSave(fields as Partial<Project>).then((saved) => saved && of.forget()))(event)
      }
    >
      <RestoredDraft draft={of} />
      <div className="flex flex-wrap items-start gap-3">
        <div className="w-72">
          <TextInput label="Name" {...field('name')} />
        </div>
        <div className="w-28">
          <TextInput label="How many" inputMode="numeric" {...field('makes')} />
        </div>
        <div className="w-56">
          <TextInput label="Variant" placeholder="with three tabs" {...field('variant')} />
        </div>
        <div className="w-52">
          <SelectInput
            label="Care"
            {...field('care')}
            options={[['unsaid', 'not said yet'], ...CARES.map((care) => [care, CARE_WORDS[care]] as const)]}
          />
        </div>
        <div className="min-w-60 flex-1">
          <TextInput label="Note" maxLength={4000} {...field('note')} />
        </div>
      </div>
      <FormErrors of={of} />
      <div className="flex gap-3">
        <button className="btn btn-primary">Save</button>
        <button type="button" className="btn" onClick={() => (of.forget(), onClose())}>
          Leave it
        </button>
      </div>
    </form>
  );
}
