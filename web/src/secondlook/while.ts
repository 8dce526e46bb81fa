/** How long views rest: for so many hours, or until an hour of a day to come. */
interface While {
  id: string;
  name: string;
  until: (now: Date) => Date;
}

const inHours = (hours: number) => (now: Date) => new Date(now.getTime() + hours * 3_600_000);

const atHour = (days: number, hour: number) => (now: Date) =>
  new Date(now.getFullYear(), now.getMonth(), now.getDate() + days, hour);

export const WHILES: While[] = [
  { id: "hour", name: "for an hour", until: inHours(1) },
  { id: "day", name: "until tomorrow morning, 8:00", until: atHour(1, 8) },
  { id: "days", name: "for three days", until: atHour(3, 8) },
  { id: "week", name: "for a week", until: atHour(7, 8) },
];
