import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type DefaultValues, type FieldValues, type Resolver } from 'react-hook-form';
import type { z } from 'zod';

/** A form over one shared schema; `read` gives the checked value, or marks the fields and gives nothing. */
export function useShelfForm<T extends FieldValues>(schema: z.ZodType<T>, initial: T) {
  const form = useForm<T>({
    resolver: zodResolver(schema as never) as unknown as Resolver<T>,
    defaultValues: initial as DefaultValues<T>,
  });
  const read = async (): Promise<T | undefined> => {
    let value: T | undefined;
    await form.handleSubmit((data) => {
      value = schema.parse(data);
    })();
    return value;
  };
  return { ...form, read };
}
