/** Days of the demo are told from the day on which something is written: "day", "day+9". The job is the one it is written on. */
export const withDays = (data: Record<string, unknown>, jobId: string, at: Date): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(data).map(([field, value]) => {
      const days = typeof value === 'string' ? /^day(?:\+(\d+))?$/.exec(value) : null;
      if (days) return [field, new Date(at.getTime() + Number(days[1] ?? 0) * 86_400_000).toISOString().slice(0, 10)];
      return [field, value === 'this job' ? jobId : value];
    }),
  );
