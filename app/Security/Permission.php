<?php

declare(strict_types=1);

namespace Periplus\App\Security;

/** What not every coach may do. Routes name one with IsGranted; the screens show what the account may do. */
enum Permission: string
{
    /** Changes the library without a proposal: combinations, themes, imports. */
    case EditLibrary = 'EDIT_LIBRARY';
    /** Decides on the proposals of others. */
    case DecideProposals = 'DECIDE_PROPOSALS';
    case EditHouseRules = 'EDIT_HOUSE_RULES';
    case EditNumberings = 'EDIT_NUMBERINGS';
    case EditCourses = 'EDIT_COURSES';
    /** Edits the lists of exercises and reminders. */
    case EditAdvice = 'EDIT_ADVICE';
    /** Imports logbook entries and deletes the records of sessions. */
    case ManageLogbook = 'MANAGE_LOGBOOK';
    case ManageCoaches = 'MANAGE_COACHES';
    /** Changes the settings, the voice and the data of the whole gym. */
    case ManageGym = 'MANAGE_GYM';
    case ReadAuditLog = 'READ_AUDIT_LOG';
}
