import { inject, onBeforeUnmount, provide, type InjectionKey } from 'vue';

/*
 * A form that is taken as a whole, or that goes elsewhere than into the document: a log entry, a plant of the studio. What
 * is typed in one of its fields is handed on when the field is left, not with every key, and the form is not taken as long
 * as one of them shows what is no value.
 */

/** A field of a form: takes what was typed, and tells what is wrong with it. */
export interface FormField {
  commit: () => void;
  fault: () => string;
}
interface LocalForm {
  join: (field: FormField) => () => void;
}
const FORM: InjectionKey<LocalForm> = Symbol('form');

/** For the component that is the form: `settled` takes every field, and says whether all of them are values. */
export function useLocalForm(): { settled: () => boolean } {
  const fields = new Set<FormField>();
  provide(FORM, {
    join(field) {
      fields.add(field);
      return () => fields.delete(field);
    },
  });
  return {
    settled() {
      for (const field of fields) field.commit();
      return [...fields].every((field) => field.fault() === '');
    },
  };
}

/** For a field: whether it stands in such a form, which then knows of it. */
export function useFormField(field: FormField): boolean {
  const form = inject(FORM, undefined);
  if (!form) return false;
  onBeforeUnmount(form.join(field));
  return true;
}
