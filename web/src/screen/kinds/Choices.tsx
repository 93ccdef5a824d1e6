import type { ButtonView } from '../../api/client';
import { useScreen } from '../context';

interface ChoicesProps {
  element: { id: string; reason?: string };
  button: ButtonView;
  shut: boolean;
  waits: boolean;
}

/** A button that writes one of several values: all of them side by side, with the one that is in force. */
export function Choices({ element, button, shut, waits }: ChoicesProps) {
  const { onPress } = useScreen();
  const away = shut || waits || button.waiting !== undefined;
  return (
    // A fieldset would lay its legend out by itself.
    // biome-ignore lint/a11y/useSemanticElements: see above
    <div className="choices" role="group" aria-label={button.words}>
      <span className="choices-words">{button.waiting || waits ? `${button.words}: waiting …` : button.words}</span>
      <div className="choices-all">
        {button.choices?.map((c) => (
          <button
            key={c.id}
            type="button"
            className="face"
            aria-pressed={c.on ?? false}
            aria-disabled={away || undefined}
            onClick={() => {
              if (!away) void onPress(element, { option: c.id });
            }}
          >
            {c.words}
          </button>
        ))}
      </div>
    </div>
  );
}
