import { DatePicker, parseDate } from '@ark-ui/react/date-picker';
import './calendar.css';

interface CalendarProps {
  value: string | undefined; // ISO 8601
  language: string;
  onDay: (day: string) => void;
}

/** A month to choose a day of; by arrows, Page up and down, Enter. Weeks begin as the language has them. */
export function Calendar({ value, language, onDay }: CalendarProps) {
  const day = value ? parseDate(value) : undefined;
  return (
    <DatePicker.Root
      inline
      locale={language === 'en' ? 'en-GB' : language}
      defaultValue={day ? [day] : []}
      defaultFocusedValue={day}
      onValueChange={({ value: [chosen] }) => chosen && onDay(chosen.toString())}
    >
      <DatePicker.Content className="calendar">
        <DatePicker.View view="day">
          <DatePicker.Context>
            {(calendar) => (
              <>
                <DatePicker.ViewControl className="calendar-head">
                  <DatePicker.PrevTrigger aria-label="Month before">‹</DatePicker.PrevTrigger>
                  <DatePicker.RangeText />
                  <DatePicker.NextTrigger aria-label="Month after">›</DatePicker.NextTrigger>
                </DatePicker.ViewControl>
                <DatePicker.Table>
                  <DatePicker.TableHead>
                    <DatePicker.TableRow>
                      {calendar.weekDays.map((d) => (
                        <DatePicker.TableHeader key={d.long}>{d.short}</DatePicker.TableHeader>
                      ))}
                    </DatePicker.TableRow>
                  </DatePicker.TableHead>
                  <DatePicker.TableBody>
                    {calendar.weeks.map((week) => (
                      <DatePicker.TableRow key={week[0]?.toString()}>
                        {week.map((d) => (
                          <DatePicker.TableCell key={d.toString()} value={d}>
                            <DatePicker.TableCellTrigger>{d.day}</DatePicker.TableCellTrigger>
                          </DatePicker.TableCell>
                        ))}
                      </DatePicker.TableRow>
                    ))}
                  </DatePicker.TableBody>
                </DatePicker.Table>
              </>
            )}
          </DatePicker.Context>
        </DatePicker.View>
      </DatePicker.Content>
    </DatePicker.Root>
  );
}
