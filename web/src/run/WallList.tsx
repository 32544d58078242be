import { App, Button, Dropdown, Input } from "antd";
import { useState } from "react";
import type { Wall } from "../api/client";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { QrCode } from "../ui/QrCode";
import { useNotice } from "../ui/useNotice";
import { useChangeWalls, useRuns, useWalls } from "./useRuns";

/** Time in ms without a request after which a wall counts as offline. */
const OFFLINE_AFTER_MS = 60_000;

/** The gym's walls, each with a URL to open on its screen. */
export function WallList() {
  const walls = useWalls();
  const { add } = useChangeWalls();
  const notice = useNotice();
  const [name, setName] = useState("");
  const put = () =>
    add.mutate(name, {
      onSuccess: () => {
        setName("");
        notice.done("Open its address on the screen that hangs there.");
      },
      onError: notice.failed,
    });
  return (
    <section className="panel block" aria-label="Walls">
      <h2>Walls</h2>
      <Failure error={walls.error} />
      {/^(127\.|localhost$)/.test(window.location.hostname) && (
        <p className="small">
          This page was opened at {window.location.host}, which no other device reaches. For screens of the gym’s
          network, start Periplus with <code>bin/start --network</code> and open it under its name.
        </p>
      )}
      {walls.data?.length === 0 && (
        <p>
          A wall is any screen with a browser: a television with a small computer, a tablet, a phone on the floor. Name
          one, and open its address there.
        </p>
      )}
      <ul className="wall-list">
        {walls.data?.map((wall) => (
          <WallRow key={wall.id} wall={wall} />
        ))}
      </ul>
      <form
        className="wall-add"
        onSubmit={(event) => {
          event.preventDefault();
          put();
        }}
      >
        <Input
          value={name}
          maxLength={60}
          placeholder="Name of another wall, such as Bag room"
          aria-label="Name of another wall"
          onChange={(event) => setName(event.target.value)}
        />
        <Button htmlType="submit" disabled={name.trim() === ""} loading={add.isPending}>
          Add
        </Button>
      </form>
    </section>
  );
}

const inside = (node: HTMLElement) => node.closest("main") ?? node;

function WallRow({ wall }: { wall: Wall }) {
  const { put, revoke, show } = useChangeWalls();
  const running = useRuns().data?.running.filter((run) => run.id !== wall.run && !run.isOver) ?? [];
  const { modal } = App.useApp();
  const notice = useNotice();
  const [scan, setScan] = useState(false);
  const address = `${window.location.origin}/wall/${wall.key}`;
  const isThere = wall.seenAt !== null && Date.now() - new Date(wall.seenAt).getTime() < OFFLINE_AFTER_MS;
  const askRevoke = () =>
    modal.confirm({
      getContainer: layers,
      title: `Revoke “${wall.name}”?`,
      content: "Its screen goes dark, and its address opens nothing any more.",
      okText: "Revoke",
      cancelText: "Keep it",
      onOk: () => revoke.mutateAsync(wall.id).catch(notice.failed),
    });
  return (
    <li>
      <b>{wall.name}</b>
      <span className={isThere ? "wall-there" : "wall-gone"}>{isThere ? "● on" : "○ not open"}</span>
      <span className="wall-ways">
        <a href={`/wall/${wall.key}`} target="_blank" rel="noreferrer">
          Open
        </a>
        <Button size="small" onClick={() => notice.copy(address, "The address is copied.")}>
          Copy the address
        </Button>
        <Button size="small" onClick={() => setScan((shown) => !shown)}>
          {scan ? "Hide the code" : "Code to scan"}
        </Button>
        {running.length > 0 && (
          <Dropdown
            trigger={["click"]}
            getPopupContainer={inside}
            menu={{
              items: running.map((run) => ({ key: run.id, label: run.name })),
              onClick: ({ key }) => show.mutate({ run: Number(key), wall: wall.id }, { onError: notice.failed }),
            }}
          >
            <Button size="small">Show …</Button>
          </Dropdown>
        )}
        <Dropdown
          trigger={["click"]}
          getPopupContainer={inside}
          menu={{
            items: [
              { key: "device", label: "Button and bell: stand-ins for devices" },
              {
                key: "keys",
                label: wall.hasKeys ? "Its keys pause and skip: take that away" : "Let its keys pause and skip",
              },
              { key: "revoke", label: "Revoke its address", danger: true },
            ],
            onClick: ({ key }) => {
              if (key === "device") {
                window.open(`/wall/${wall.key}/device`, "_blank", "noreferrer");
              } else if (key === "keys") {
                put.mutate({ ...wall, hasKeys: !wall.hasKeys }, { onError: notice.failed });
              } else {
                askRevoke();
              }
            },
          }}
        >
          <Button size="small" aria-label={`More for ${wall.name}`}>
            ⋯
          </Button>
        </Dropdown>
      </span>
      {scan && (
        <span className="wall-code">
          <QrCode address={address} label={`Address of ${wall.name}`} />
          <code>{address}</code>
        </span>
      )}
    </li>
  );
}
