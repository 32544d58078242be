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

/** Translates a list while typing. */
export function useTranslation(asked: Asked) {
  return useQuery({
    queryKey: keys.translation(asked.text, asked.from, asked.to, asked.stance),
    queryFn: ({ signal }) => translate(asked, signal),
    placeholderData: keepPreviousData,
  });
}

/** Translates one line on request; an unreadable line stays as typed. */
export function useTranslate() {
  const notice = useNotice();
  return useStable(async (asked: Asked, onWritten: (line: string) => void) => {
    try {
      const answer = asked.text.trim() === "" ? undefined : await translate(asked);
      onWritten(answer?.lines[0]?.written ?? asked.text);
    } catch (refused) {
      // Kept unchanged, although the same numbers would mean other strikes.
      notice.failed(refused);
    }
  });
}
