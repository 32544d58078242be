import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Dropdown, Flex, Input, Modal } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
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
        notice.done(t`Open its address on the screen that hangs there.`);
      },
      onError: notice.failed,
    });
  return (
    <section className="panel block" aria-label={t`Walls`}>
      <h2>
        <Trans>Walls</Trans>
      </h2>
      <Failure error={walls.error} />
      {/^(127\.|localhost$)/.test(window.location.hostname) && (
        <p className="small">
          <Trans>
            This page was opened at {window.location.host}, which other devices cannot reach. For screens of the gym’s
            network, start Periplus with <code>bin/start --network</code> and open it under its name.
          </Trans>
        </p>
      )}
      {walls.data?.length === 0 && (
        <p>
          <Trans>
            A wall is any screen with a browser: a television with a small computer, a tablet, a phone on the floor.
            Name one, and open its address there.
          </Trans>
        </p>
      )}
      <ul className="wall-list">
        {walls.data?.map((wall) => (
          <WallRow key={wall.id} wall={wall} />
        ))}
      </ul>
      <Flex
        component="form"
        gap="small"
        className="wall-add"
        onSubmit={(event) => {
          event.preventDefault();
          put();
        }}
      >
        <Input
          value={name}
          {...bounds("WallRequest", "name")}
          placeholder={t`Name of another wall, such as Bag room`}
          aria-label={t`Name of another wall`}
          onChange={(event) => setName(event.target.value)}
        />
        <Button htmlType="submit" disabled={name.trim() === ""} loading={add.isPending}>
          <Trans>Add</Trans>
        </Button>
      </Flex>
    </section>
  );
}

const inside = (node: HTMLElement) => node.closest("main") ?? node;

function WallRow({ wall }: { wall: Wall }) {
  const { put, revoke } = useChangeWalls();
  const [modal, modalHolder] = Modal.useModal();
  const notice = useNotice();
  const [scan, setScan] = useState(false);
  const address = `${window.location.origin}/wall/${wall.key}`;
  const isThere = wall.seenAt !== null && Date.now() - new Date(wall.seenAt).getTime() < OFFLINE_AFTER_MS;
  const askRevoke = () =>
    modal.confirm({
      getContainer: layers,
      title: t`Revoke “${wall.name}”?`,
      content: t`Its screen goes dark, and its address no longer works.`,
      okText: t`Revoke`,
      cancelText: t`Keep it`,
      onOk: () => revoke.mutateAsync(wall.id).catch(notice.failed),
    });
  return (
    <li>
      {modalHolder}
      <b>{wall.name}</b>
      <span className={isThere ? "wall-there" : "wall-gone"}>{isThere ? t`● on` : t`○ not open`}</span>
      <Flex component="span" wrap align="center" gap="small" className="wall-ways">
        <a href={`/wall/${wall.key}`} target="_blank" rel="noreferrer">
          <Trans>Open</Trans>
        </a>
        <Button size="small" onClick={() => notice.copy(address, t`The address is copied.`)}>
          <Trans>Copy the address</Trans>
        </Button>
        <Button size="small" onClick={() => setScan((shown) => !shown)}>
          {scan ? t`Hide the code` : t`Code to scan`}
        </Button>
        <ShowMenu wall={wall} />
        <Dropdown
          trigger={["click"]}
          getPopupContainer={inside}
          menu={{
            items: [
              { key: "device", label: t`Button and bell: stand-ins for devices` },
              {
                key: "keys",
                label: wall.hasKeys ? t`Disable its keys for pause and skip` : t`Enable its keys for pause and skip`,
              },
              { key: "revoke", label: t`Revoke its address`, danger: true },
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
          <Button size="small" aria-label={t`More for ${wall.name}`}>
            ⋯
          </Button>
        </Dropdown>
      </Flex>
      {scan && (
        <Flex component="span" wrap align="center" gap="medium" className="wall-code">
          <QrCode address={address} label={t`Address of ${wall.name}`} />
          <code>{address}</code>
        </Flex>
      )}
    </li>
  );
}

/** Shows another session that runs on a wall. */
function ShowMenu({ wall }: { wall: Wall }) {
  const { show } = useChangeWalls();
  const notice = useNotice();
  const running = useRuns().data?.running.filter((run) => run.id !== wall.run && !run.isOver) ?? [];
  return running.length > 0 ? (
    <Dropdown
      trigger={["click"]}
      getPopupContainer={inside}
      menu={{
        items: running.map((run) => ({ key: run.id, label: run.name })),
        onClick: ({ key }) => show.mutate({ run: Number(key), wall: wall.id }, { onError: notice.failed }),
      }}
    >
      <Button size="small">
        <Trans>Show …</Trans>
      </Button>
    </Dropdown>
  ) : null;
}
