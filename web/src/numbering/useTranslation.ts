import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type NumberingId, type Stance } from "../api/client";
import { keys } from "../api/keys";
import { useNotice } from "../ui/useNotice";
import { useStable } from "../ui/useStable";

interface Asked {
  text: string;
  from: NumberingId;
  to: NumberingId;
  stance: Stance;
}

const translate = (body: Asked, signal?: AbortSignal) => answered(api.POST("/api/translate", { body, signal }));

/** A list in one numbering, written over into another as one types. */
export function useTranslation(asked: Asked) {
  return useQuery({
    queryKey: keys.translation(asked.text, asked.from, asked.to, asked.stance),
    queryFn: ({ signal }) => translate(asked, signal),
    placeholderData: keepPreviousData,
  });
}

/** Writes one line over when it is asked to; what cannot be read yet stays as it was typed. */
export function useTranslate() {
  const notice = useNotice();
  return useStable(async (asked: Asked, onWritten: (line: string) => void) => {
    try {
      const answer = asked.text.trim() === "" ? undefined : await translate(asked);
      onWritten(answer?.lines[0]?.written ?? asked.text);
    } catch (refused) {
      // Kept as it is: the same numbers would mean other strikes.
      notice.failed(refused);
    }
  });
}
