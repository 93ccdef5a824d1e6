// Made from api/openapi.yaml, by npm run types.
import type { Binding, Document, WalkStep, Walker } from '../document/document.gen';

export interface paths {
    "/api/status": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the program can reach */
        get: operations["getStatus"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/healthz": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether the program lives */
        get: operations["getHealth"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/readyz": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether requests are to be sent here */
        get: operations["getReady"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sign-in": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Begin a session */
        post: operations["signIn"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sign-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** End the session */
        post: operations["signOut"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who is signed in */
        get: operations["getMe"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/open": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Open a place by pointer or address */
        post: operations["openPlace"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/callup": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Go to the screen that the plant calls up */
        post: operations["callUp"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/callups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the plant called up, for whoever asks */
        get: operations["getCallUps"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/callups/{occurrence}/seen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Note that one was seen */
        post: operations["seeCallUp"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/holds/{press}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Go on holding a button */
        put: operations["hold"];
        post?: never;
        /** Let go a button that is held, or that was pressed a moment ago */
        delete: operations["letGo"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/press": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Press */
        post: operations["press"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/go": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Go along the trail */
        post: operations["goAlong"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/arrange": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Narrow and order a list */
        post: operations["arrange"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/rows": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A further page of a list */
        post: operations["moreRows"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/titles/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Records of a table by title */
        get: operations["getTitles"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/trend": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The samples of a trend by line */
        get: operations["getTrend"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Live values of places of one browser, as server-sent events */
        get: operations["getEvents"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The project as it is being built */
        get: operations["getDraft"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/edits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make an edit */
        post: operations["edit"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Take back the newest own edit */
        post: operations["undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make it again */
        post: operations["redo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/work": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Show a screen at work */
        post: operations["showAtWork"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/work/rows": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Further rows of a list at work */
        post: operations["moreRowsAtWork"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/work/trend": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The samples of a trend on a screen at work by line */
        post: operations["trendAtWork"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/practise": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Press without keeping anything */
        post: operations["practise"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/condition": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read a condition */
        post: operations["readCondition"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/names": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Names a condition may use */
        get: operations["getNames"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/proposals": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** How an input can get its value */
        post: operations["propose"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/records/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Records to walk on */
        get: operations["getRecords"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/orders/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The orders that a table is read in, and the index that serves each or would */
        get: operations["getOrders"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/releases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The releases, newest first */
        get: operations["getReleases"];
        put?: never;
        /** Put the draft into use */
        post: operations["putIntoUse"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/readiness": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What stands in the way of releasing the draft; walks are gone for it */
        get: operations["getReadiness"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/releases/{number}/again": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A new release with the content of an older one; the draft stays as it is */
        post: operations["bringBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/releases/{number}/first": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Let all use the release that some use first, or nobody any more */
        post: operations["endTrial"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/releases/{number}/export": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A release as a file */
        get: operations["exportRelease"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/differences": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What is different between two releases, or a release and the draft, thing by thing, and in who gets where */
        get: operations["getDifferences"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/history": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Edits that were made, newest first, as sentences */
        get: operations["getHistory"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/history/{seq}/back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Take one edit back, of whomever it was, where nothing of it was changed since */
        post: operations["takeBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/history/screen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A screen as it was at a time or before an edit, as the walked user would have got it over the records as they are now */
        post: operations["getScreenThen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/presence": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Say where in the builder a tab is, so that others see it */
        post: operations["showPresence"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Edits of all builders, as server-sent events */
        get: operations["getBuildEvents"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me/password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Change one’s password */
        post: operations["changePassword"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me/sign-out-everywhere": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** End all of one’s sessions */
        post: operations["signOutEverywhere"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/rights": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What one may do here */
        get: operations["getMyRights"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/complete": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What could stand at a place of a text */
        post: operations["completeText"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/why": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Why a way is open or shut */
        post: operations["explainWay"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/rights": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who may do what, at one look */
        get: operations["getRights"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/values/{table}/{field}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The different values of a field */
        get: operations["getValues"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/extent/{table}/{field}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The least and the most of a field of numbers; nothing where there are no records */
        get: operations["getExtent"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/people/{person}/roles": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Give and take a person’s roles */
        put: operations["setRoles"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/people/{person}/rights": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Give and take a person’s rights to build and to administer */
        put: operations["setRights"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/commands": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What was sent to plants, by whom, and what came of it */
        get: operations["getCommands"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/log": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who did what to rights, releases and accounts */
        get: operations["getLog"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/position": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Where the record stands in the list come from */
        post: operations["getPosition"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keep how lists were left */
        post: operations["keepLook"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/draft": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keep what was typed */
        post: operations["keepDraft"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/draft/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Take over a draft of another tab */
        post: operations["takeDraft"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/draft/forget": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Start from what is saved */
        post: operations["forgetDraft"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/fork": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A duplicated tab goes its own way */
        post: operations["forkTrail"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/places": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The places of a trail */
        get: operations["getPlaces"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/add-parent": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Open the form that a missing record is added with */
        post: operations["addParent"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A list as comma-separated values */
        get: operations["getCsv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/views/{screen}/{element}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How the user likes a list */
        get: operations["getListViews"];
        /** Keep how the user likes a list */
        put: operations["keepListView"];
        post?: never;
        /** Forget a saved view */
        delete: operations["dropListView"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/use/{project}/image": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The picture that a field shows */
        get: operations["getImage"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keeps a picture for the project */
        post: operations["addPicture"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/clips": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keeps a clip for the project */
        post: operations["addClip"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/project-pictures/{project}/{digest}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A picture or clip of the project, by the digest of its bytes; in parts, where a range is asked for */
        get: operations["getPicture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/offers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The screens that other projects offer */
        get: operations["getOffers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/first": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether nobody is there yet */
        get: operations["getFirst"];
        put?: never;
        /** Come in as the first person of all */
        post: operations["makeFirst"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/link": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Set a password by a link */
        put: operations["useLink"];
        /** Whom a link is for */
        post: operations["readLink"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Everybody who can sign in */
        get: operations["getPeople"];
        put?: never;
        /** Add people, all or none, each with a link */
        post: operations["addPeople"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people/{person}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Change a person */
        put: operations["changePerson"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people/{person}/link": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A link by which a person sets a password */
        post: operations["makeLink"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people/{person}/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /** End all sessions of a person */
        delete: operations["endSessions"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people/{person}/roles/{project}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** The roles and rights of a person in an application */
        put: operations["setRolesIn"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/devices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All unattended displays */
        get: operations["getDevices"];
        put?: never;
        /** Add a display, with the code by which it comes in */
        post: operations["addDevice"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/devices/{device}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Change a display, at once */
        put: operations["changeDevice"];
        post?: never;
        /** Forget a display, which is out at once */
        delete: operations["removeDevice"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/devices/{device}/code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Another code for a display; what came in by the last one is out */
        post: operations["makeCode"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/device": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Let this browser be a display, by a code */
        post: operations["enrol"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All connections, without what is secret */
        get: operations["getConnections"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/try": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Try a connection before it is kept */
        post: operations["tryConnection"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/{connection}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Keep a connection, or change it */
        put: operations["keepConnection"];
        post?: never;
        /** Forget a connection */
        delete: operations["removeConnection"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/{connection}/try": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Try a connection that is kept */
        post: operations["tryKept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/{connection}/presses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make the table in which presses are claimed */
        post: operations["makePressTable"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/{connection}/tables": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The tables of a database, as they are now */
        get: operations["getTables"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/proposals": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** An application as it would be made */
        post: operations["proposeApplication"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/applications": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The applications that one builds, with their state */
        get: operations["getApplications"];
        put?: never;
        /** Make an application */
        post: operations["makeApplication"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/imports/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What is in a file that an application was exported to */
        post: operations["lookAtFile"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/imports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Make an application of a file */
        post: operations["importFile"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/export": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** An application as a file */
        get: operations["exportApplication"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/structure": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What differs between an application and its databases as they are now */
        get: operations["readAgain"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/log": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who did what to people, connections, rights and releases anywhere */
        get: operations["getProgramLog"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/connections/{connection}/nodes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What stands below a node of a plant, or what is called by some words */
        get: operations["getNodes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/plants/certificate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The certificate that plants are shown */
        get: operations["getPlantCertificate"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/equipment": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The equipment that would be made of folders of a plant */
        post: operations["proposeEquipment"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/equipment/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the values of a record’s equipment are now */
        get: operations["getEquipment"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/reach": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who gets where in the draft, proven; and what was otherwise at the release, or before one’s own last edit */
        get: operations["getReach"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/reach/path": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How somebody gets to a screen, and back */
        get: operations["getReachPath"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/reach/between": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Every path by presses from one screen to another, the shortest first */
        get: operations["getPathsBetween"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/walks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The walks of the draft, in words */
        get: operations["getWalks"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/walks/gone": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Go walks of the draft over the records as they are; nothing that they change is kept */
        post: operations["goWalks"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/walks/shown": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The screen where somebody stands when a step of a walk was done, drawn */
        post: operations["showWalk"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/walks/recorded": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What was recorded as a walk, with records named by their titles, and who goes it */
        post: operations["nameWalk"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/map": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All screens of the draft, laid out by the presses from the start */
        get: operations["getMap"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/map/ways": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The ways from one plate of the map to another, as sentences */
        get: operations["getWireWays"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/map.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The map as a picture */
        get: operations["getMapPicture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/map.scxml": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The screens as a state machine (SCXML, W3C), for one set of roles */
        get: operations["getMapStates"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/callups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How it is with the call-ups of the draft now; nothing comes to the front by it */
        get: operations["getCallUpsNow"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/tags": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the values of the plant as a whole are now */
        get: operations["getTags"];
        put?: never;
        /** A value of a plant as it would be taken in on its own */
        post: operations["proposeTag"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/cells": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What could be put into an empty cell of a screen */
        post: operations["offerForCell"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/proposals/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What would be made for a table of the application */
        post: operations["proposeLater"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/plants": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The plants that equipment may be taken from */
        get: operations["getPlants"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/build/{project}/plants/{connection}/nodes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What stands below a node of such a plant, or is called by some words */
        get: operations["getPlantNodes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /** @description A colour by day and by night, as #rrggbb. */
        Colour: {
            light?: string;
            dark?: string;
        };
        /** @description What an application looks like besides its palette. */
        StyleView: {
            /** @description of the builder's own, by id */
            colours?: {
                [key: string]: components["schemas"]["Colour"];
            };
            /** @description of all buttons that look one way, by its name */
            buttons?: {
                [key: string]: components["schemas"]["ButtonStyle"];
            };
            /** @enum {string} */
            corners?: "square" | "round";
            /** @enum {string} */
            text?: "small" | "large";
            logo?: components["schemas"]["PictureView"];
        };
        /** @description How all buttons are drawn that look one way. */
        ButtonStyle: {
            /** @description #rrggbb, a name of the palette, or the id of one of the builder's own */
            colour: string;
            /** @enum {string} */
            drawn?: "filled" | "outlined";
        };
        /** @description What is to be made for a table: screens (what it lacks of a list and a form), list, form, steps, dashboard, operator. */
        LaterAsked: {
            what: string;
        };
        /** @description What would be made for a table that the application has. */
        ProposedLater: {
            words: string[];
            patch: components["schemas"]["Op"][];
            screen?: string;
        };
        /** @description An empty cell of a screen, what was typed into it, and the id that the new element gets. */
        CellWish: {
            screen: string;
            row: number;
            col: number;
            words: string;
            element: string;
            tab?: string;
            frame?: string;
        };
        /** @description An element that could be put into a cell, with the patch that puts it there and makes room. */
        CellOffer: {
            id: string;
            words: string;
            note?: string;
            group: string;
            patch: components["schemas"]["Op"][];
        };
        /** @description A value of a plant, by the names one browses by. */
        TagAsked: {
            connection: string;
            path: string;
        };
        /** @description A value as it would be taken in; without a patch where it is there already. */
        ProposedTag: {
            id: string;
            words: string;
            patch: components["schemas"]["Op"][];
        };
        /** @description Folders of a plant that are to become equipment, and whom one walks as. */
        EquipmentAsked: {
            wish: components["schemas"]["EquipmentWish"];
            as: string;
        };
        /** @description A folder of a plant whose folders are one piece of equipment each, and what is to be otherwise than proposed. */
        EquipmentWish: {
            connection: string;
            path: string;
            table?: string;
            field?: string;
            leaveOut?: string[];
            screen?: boolean;
        };
        /** @description What would be made of the folders. */
        ProposedEquipment: {
            folders: string[];
            values: components["schemas"]["EquipmentValue"][];
            fits: components["schemas"]["EquipmentFit"][];
            chosen?: components["schemas"]["EquipmentFit"];
            notes: string[];
            patch: components["schemas"]["Op"][];
            screen?: string;
        };
        /** @description A value that each of them has, or most. */
        EquipmentValue: {
            way: string;
            part: string;
            label: string;
            type: string;
            unit?: string;
            low?: number;
            high?: number;
            writable?: boolean;
            missing?: string[];
            out?: boolean;
        };
        /** @description A field by whose values folders are found: what stands before and after it in their names. */
        EquipmentFit: {
            table: string;
            field: string;
            before?: string;
            after?: string;
            pairs: components["schemas"]["EquipmentPair"][];
            lonely: string[];
            without: string[];
            records: number;
        };
        /** @description A folder and the record that it belongs to. */
        EquipmentPair: {
            folder: string;
            record: string;
        };
        /** @description What a value of a record’s equipment, or of the plant as a whole (without a part), is now; why where it is not known. */
        TagNow: {
            part?: string;
            tag: string;
            node: string;
            value?: string;
            why?: string;
            /** Format: date-time */
            at?: string;
        };
        /** @description Where a plant is, how the way there is kept safe (off, signed, encrypted; by a policy, or the best there is), and who signs in to it. Trusted is the fingerprint of its certificate; certified where the program signs in by its own certificate. */
        PlantSettings: {
            endpoint: string;
            namespace: string;
            security: string;
            policy: string;
            login: string;
            trusted: string;
            certified?: boolean;
        };
        /** @description What a plant offers and shows. */
        TriedPlant: {
            server: string;
            offers: components["schemas"]["PlantOffer"][];
            certificate?: components["schemas"]["ShownCertificate"];
            namespaces: string[];
        };
        /** @description A way in that a plant offers; named where it takes a name with its password. */
        PlantOffer: {
            security: string;
            policy: string;
            named: boolean;
        };
        /** @description A certificate as people compare it; the program’s own as a file too. */
        ShownCertificate: {
            fingerprint: string;
            subject: string;
            /** Format: date-time */
            until: string;
            pem?: string;
        };
        /** @description What stands below a node of a plant, or was found; more says that not all is told. */
        PlantNodes: {
            nodes: components["schemas"]["PlantNode"][];
            more: boolean;
        };
        /** @description A node of a plant. Its path names it. */
        PlantNode: {
            path: string;
            name: string;
            folder: boolean;
            kind: string;
            readable: boolean;
            writable: boolean;
            unit?: string;
            /** Format: double */
            low?: number;
            /** Format: double */
            high?: number;
            now?: string;
        };
        /** @description A source as its database is now. */
        SourceRead: {
            source: string;
            name: string;
            connection: string;
            no?: components["schemas"]["Problem"];
            differences: components["schemas"]["Difference"][];
        };
        /** @description What differs, as a sentence, with a safe mend where there is one. */
        Difference: {
            kind: string;
            table?: string;
            words: string;
            mend?: string;
            patch?: components["schemas"]["Op"][];
        };
        /** @description What is in a file, and what it needs here. */
        FileLook: {
            title: string;
            slug: string;
            taken: boolean;
            screens: number;
            tables: number;
            pictures: number;
            needs: components["schemas"]["NeededConnection"][];
        };
        /** @description A connection that an application is over, and whether one of that name is here. */
        NeededConnection: {
            name: string;
            type: string;
            here: boolean;
        };
        /** @description What was chosen of a database, and what is to be otherwise than proposed. */
        Wish: {
            title: string;
            slug?: string;
            zone?: string;
            connection: string;
            tables: components["schemas"]["TableWish"][];
            people?: components["schemas"]["LoginColumn"];
            leaveOut?: string[];
            noRail?: boolean;
            noEditors?: boolean;
        };
        /** @description The column that holds what users sign in by. */
        LoginColumn: {
            schema: string;
            table: string;
            column: string;
        };
        /** @description A table that is taken in; what is absent is as proposed. */
        TableWish: {
            schema: string;
            name: string;
            label?: string;
            one?: string;
            title?: string;
            order?: string;
            fields?: components["schemas"]["FieldWish"][];
        };
        /** @description What is to be otherwise of a field. */
        FieldWish: {
            column: string;
            label?: string;
            unit?: string;
            out?: boolean;
            inList?: boolean;
        };
        /** @description All that would be made. */
        ProposedApplication: {
            tables: components["schemas"]["ProposedTable"][];
            screens: components["schemas"]["ProposedScreen"][];
            ways: components["schemas"]["ProposedWay"][];
            rail: boolean;
        };
        /** @description A table as it would be taken in. */
        ProposedTable: {
            id: string;
            schema: string;
            name: string;
            label: string;
            one: string;
            fields: components["schemas"]["ProposedField"][];
            title: string;
            order?: string;
            login?: string;
            link?: boolean;
            notes: string[];
            /** Format: int64 */
            rows: number;
        };
        /** @description A field as it would be taken in; without an id it is left out. */
        ProposedField: {
            id?: string;
            column: string;
            label: string;
            what: string;
            why: string;
            ask?: boolean;
            inList?: boolean;
            unit?: string;
        };
        /** @description A screen that would be made, or is left out. */
        ProposedScreen: {
            id: string;
            title: string;
            type: string;
            note: string;
            made: boolean;
            table?: string;
        };
        /** @description A way that would be made, or is left out. */
        ProposedWay: {
            id: string;
            from: string;
            to: string;
            words: string;
            made: boolean;
        };
        /** @description Whether nobody is there yet. */
        First: {
            needed: boolean;
            /** @description what the issuer is called by which people may sign in too */
            issuer?: string;
        };
        /** @description The first person of all, who administers. */
        FirstPerson: {
            id?: string;
            token: string;
            name: string;
            login: string;
            password: string;
        };
        /** @description The secret of a link. */
        LinkAsked: {
            token: string;
        };
        /** @description A password, set by a link. */
        LinkUsed: {
            token: string;
            password: string;
        };
        /** @description Whom a link is for. */
        LinkFor: {
            name: string;
            login: string;
        };
        /** @description Everybody, and the applications in which roles can be given. */
        PeoplePage: {
            people: components["schemas"]["PersonInfo"][];
            applications: components["schemas"]["ApplicationRoles"][];
        };
        /** @description Somebody who can sign in, as who administers the program sees them. */
        PersonInfo: {
            id: string;
            login: string;
            name: string;
            disabled: boolean;
            invited: boolean;
            password: boolean;
            /** Format: date-time */
            seen?: string;
            failed: number;
            sessions: number;
            builds: boolean;
            administers: boolean;
            roles: {
                [key: string]: string[];
            };
            rights: {
                [key: string]: components["schemas"]["RightsChange"];
            };
            walks: boolean;
        };
        /** @description All displays, and the applications that they can show. */
        DevicesPage: {
            devices: components["schemas"]["DeviceInfo"][];
            applications: components["schemas"]["DeviceApplication"][];
        };
        /** @description An unattended display: a role without a person. */
        DeviceInfo: {
            id: string;
            name: string;
            project: string;
            role: string;
            start: string;
            allows: ("addresses" | "files" | "printing")[];
            /**
             * Format: date-time
             * @description until when its code can be typed
             */
            codeEnds?: string;
            /** Format: date-time */
            enrolled?: string;
            /** Format: date-time */
            seen?: string;
        };
        /** @description An application with its roles, and its screens that are open without a record. */
        DeviceApplication: {
            id: string;
            title: string;
            roles: components["schemas"]["RoleName"][];
            screens: components["schemas"]["RoleName"][];
        };
        /** @description What a display is called, shows and may. Its application stays. */
        DeviceChange: {
            /** @description d_ and up to 30 small letters and digits; made where it is not given */
            id?: string;
            name: string;
            project: string;
            role: string;
            start: string;
            allows: ("addresses" | "files" | "printing")[];
        };
        /** @description The code of a display, which is told once. */
        AddedDevice: {
            id: string;
            code: string;
        };
        /** @description A code as it was typed. */
        TypedCode: {
            code: string;
        };
        /** @description Where a display begins. */
        Enrolled: {
            /** @description the address of its application */
            project: string;
        };
        /** @description An application and its roles. */
        ApplicationRoles: {
            id: string;
            title: string;
            roles: components["schemas"]["RoleName"][];
        };
        /** @description A role by its name. */
        RoleName: {
            id: string;
            name: string;
        };
        /** @description People to be added, all or none. */
        NewPeople: {
            people: components["schemas"]["NewPerson"][];
        };
        /** @description Somebody to be added. An id may be given; else one is made. */
        NewPerson: {
            id?: string;
            login: string;
            name: string;
            builds?: boolean;
            administers?: boolean;
            roles?: {
                [key: string]: string[];
            };
        };
        /** @description The secrets of their links, in the same order; told once. */
        PeopleAdded: {
            tokens: string[];
        };
        /** @description What is to be otherwise of a person. Who walks may walk as real people where they build. */
        PersonChange: {
            walks?: boolean;
            name?: string;
            disabled?: boolean;
            builds?: boolean;
            administers?: boolean;
        };
        /** @description The secret of a link; told once. */
        MadeLink: {
            token: string;
        };
        /** @description The roles and rights that a person is to have in an application. */
        RolesIn: {
            roles: string[];
            builds: boolean;
            administers: boolean;
        };
        /** @description Where a database is, and who signs in to it. TLS is off, required or verified. */
        DatabaseSettings: {
            host: string;
            port: number;
            database: string;
            login: string;
            tls: string;
        };
        /** @description A database or a plant as it is to be kept: one of both. Without a password, the one that is kept stays. */
        ConnectionKept: {
            name: string;
            database?: components["schemas"]["DatabaseSettings"];
            plant?: components["schemas"]["PlantSettings"];
            password?: string;
        };
        /** @description A connection. Fixed ones stand in the configuration of the program. */
        ConnectionInfo: {
            name: string;
            kind: string;
            fixed: boolean;
            sealed: boolean;
            good: boolean;
            onlyRead: boolean;
            where: string;
            away?: string;
            database?: components["schemas"]["DatabaseSettings"];
            plant?: components["schemas"]["PlantSettings"];
            uses: string[];
        };
        /** @description What became of trying a connection. It is a no, in words, or says what can be done there. */
        Tried: {
            no?: components["schemas"]["Problem"];
            version?: string;
            schemas: string[];
            tables: number;
            mayWrite: boolean;
            claims: boolean;
            mayClaim: boolean;
            encrypted: boolean;
            statement?: string;
            plant?: components["schemas"]["TriedPlant"];
        };
        /** @description The tables of a database. */
        Structure: {
            database: string;
            tables: components["schemas"]["TableInfo"][];
        };
        /** @description A table that can be taken in. */
        TableInfo: {
            schema: string;
            name: string;
            label: string;
            kind: string;
            /** Format: int64 */
            rows: number;
            columns: string[];
            refersTo: string[];
            note: string;
            usable: boolean;
        };
        /** @description An application as who builds it sees it in the list. */
        ApplicationState: {
            id: string;
            /** @description edits since the newest release */
            changes: number;
            broken: number;
            doubtful: number;
            screens: number;
        };
        /** @description Where the new application is. */
        MadeApplication: {
            slug: string;
        };
        /** @description A no: a code that docs/errors.md lists, what happened, what to do. */
        Problem: {
            code: string;
            what: string;
            then?: string;
            /** @description By what the log of the server names this call. */
            request?: string;
            fields?: {
                [key: string]: string;
            };
            part?: components["schemas"]["Part"];
        };
        /** @description One part of an explained condition. */
        Part: {
            words: string;
            state: string;
            value?: string;
            why?: string;
            decides: boolean;
            parts?: components["schemas"]["Part"][];
        };
        /** @description What is wrong with an expression, and where. */
        TextProblem: {
            message: string;
            at: number;
            length: number;
            proposal?: string;
        };
        /** @description A condition as rows of field, comparison and value. */
        Rows: {
            mode: string;
            rows: components["schemas"]["ConditionRow"][];
        };
        /** @description One comparison, or a group of rows. */
        ConditionRow: {
            path?: string;
            compare?: string;
            value?: string;
            values?: string[];
            with?: string;
            group?: components["schemas"]["Rows"];
        };
        /** @description A place on the grid of twelve columns. */
        Cell: {
            row: number;
            col: number;
            w: number;
            h?: number;
        };
        /** @description A screen with its inputs, mode and view. */
        Place: {
            vars?: {
                [key: string]: string;
            };
            spot?: string;
            tabs?: {
                [key: string]: string;
            };
            find?: string;
            from?: components["schemas"]["From"];
            look?: {
                [key: string]: components["schemas"]["Look"];
            };
            screen: string;
            inputs?: {
                [key: string]: string;
            };
            mode: string;
            set?: {
                [key: string]: string;
            };
            filters?: components["schemas"]["Filter"][];
            sort?: components["schemas"]["Sort"][];
        };
        /** @description Narrows a list by one column. */
        Filter: {
            path: string;
            compare: string;
            value?: string;
        };
        /** @description One part of the order of a list. */
        Sort: {
            path: string;
            desc?: boolean;
        };
        /** @description A screen as it is drawn. */
        View: {
            vars?: components["schemas"]["VarInfo"][];
            rails?: components["schemas"]["RailView"][];
            ways?: components["schemas"]["WayView"][];
            find?: string;
            steps?: components["schemas"]["StepView"];
            tells?: boolean;
            screen: string;
            type: string;
            title: string;
            heading: string;
            area?: string;
            mode: string;
            /** @description light or dark, where the project says how screens of this kind look */
            appearance?: string;
            /** @description how numbers and dates are written (BCP 47); English when absent */
            language?: string;
            /** @description the colours of the application that are not the usual ones, by name */
            palette?: {
                [key: string]: components["schemas"]["Colour"];
            };
            style?: components["schemas"]["StyleView"];
            bare?: boolean;
            place: components["schemas"]["Place"];
            address: string;
            record?: components["schemas"]["RecordInfo"];
            context?: components["schemas"]["Chip"][];
            elements: components["schemas"]["ElementView"][];
        };
        /** @description The screen’s own record. */
        RecordInfo: {
            table: string;
            key: string;
            title: string;
            version: string;
        };
        /** @description What arrived and narrows the screen. */
        Chip: {
            input?: string;
            path?: string;
            label: string;
            words: string;
            clear: boolean;
        };
        /** @description One element as it is drawn. What its kind shows stands under the name of the kind. */
        ElementView: components["schemas"]["ButtonElementView"] | components["schemas"]["ChartElementView"] | components["schemas"]["FieldElementView"] | components["schemas"]["FigureElementView"] | components["schemas"]["GaugeElementView"] | components["schemas"]["ImageElementView"] | components["schemas"]["LampElementView"] | components["schemas"]["ListElementView"] | components["schemas"]["TabsElementView"] | components["schemas"]["StepsElementView"] | components["schemas"]["TasksElementView"] | components["schemas"]["TextElementView"] | components["schemas"]["TotalElementView"] | components["schemas"]["GroupElementView"] | components["schemas"]["SitePlanElementView"] | components["schemas"]["SymbolElementView"] | components["schemas"]["ClipElementView"] | components["schemas"]["TrendElementView"];
        /** @description What every element has. */
        ElementHead: {
            id: string;
            cell: components["schemas"]["Cell"];
            /**
             * @description hidden ones are sent to builders only
             * @enum {string}
             */
            state: "shown" | "greyed" | "hidden";
            reason?: string;
            by?: string;
        };
        /** @description A button, where it stands. */
        ButtonElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "button";
            button: components["schemas"]["ButtonView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "button";
        };
        /** @description One number over records, where it stands. */
        TotalElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "total";
            total: components["schemas"]["TotalView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "total";
        };
        /** @description A site plan, where it stands. */
        SitePlanElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "sitePlan";
            sitePlan: components["schemas"]["SitePlanView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sitePlan";
        };
        /** @description A group, where it stands. */
        GroupElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "group";
            group: components["schemas"]["GroupView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "group";
        };
        /** @description A chart, where it stands. */
        ChartElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "chart";
            chart: components["schemas"]["ChartView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "chart";
        };
        /** @description A field of the record, where it stands. */
        FieldElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "field";
            field: components["schemas"]["FieldView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "field";
        };
        /** @description A picture with live words, where it stands. */
        FigureElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "figure";
            figure: components["schemas"]["FigureView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "figure";
        };
        /** @description A live number, where it stands. */
        GaugeElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "gauge";
            gauge: components["schemas"]["GaugeView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "gauge";
        };
        /** @description A picture, where it stands. */
        ImageElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "image";
            image: components["schemas"]["ImageView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "image";
        };
        /** @description A live yes or no, where it stands. */
        LampElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "lamp";
            lamp: components["schemas"]["LampView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lamp";
        };
        /** @description A list, where it stands. */
        ListElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "list";
            list: components["schemas"]["ListView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "list";
        };
        /** @description A thing of the plant, where it stands. */
        SymbolElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "symbol";
            symbol: components["schemas"]["SymbolView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "symbol";
        };
        /** @description A clip, where it stands. */
        ClipElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "clip";
            clip: components["schemas"]["ClipView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "clip";
        };
        /** @description A block of tabs, where it stands. */
        TabsElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "tabs";
            tabs: components["schemas"]["TabsView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "tabs";
        };
        /** @description Guided tasks that can be begun or gone on with. */
        TasksElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "tasks";
            tasks: components["schemas"]["TasksView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "tasks";
        };
        /** @description A guided task, where it stands. */
        StepsElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "steps";
            steps: components["schemas"]["StepsView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "steps";
        };
        /** @description A text, where it stands. */
        TextElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "text";
            text: components["schemas"]["TextView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "text";
        };
        /** @description Live numbers over time, where it stands. */
        TrendElementView: components["schemas"]["ElementHead"] & {
            /** @enum {string} */
            kind: "trend";
            trend: components["schemas"]["TrendView"];
        } & {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trend";
        };
        /** @description One of several values that a button writes. */
        ValueChoice: {
            id: string;
            words: string;
            /** @description it is in force */
            on?: boolean;
        };
        /** @description A button. */
        ButtonView: {
            /** @description going down sets something off, and letting go something else */
            down?: boolean;
            /**
             * @description below which width it is behind "more"
             * @enum {string}
             */
            fold?: "narrow" | "middle" | "never";
            colour?: string;
            leave?: string;
            tip?: string;
            keys?: string;
            /** @description it acts as long as it is held */
            held?: boolean;
            choices?: components["schemas"]["ValueChoice"][];
            /**
             * @description of one that turns something on and off: how that is
             * @enum {string}
             */
            turned?: "on" | "off" | "unknown";
            /**
             * Format: int64
             * @description Unix milliseconds since when a command is on its way
             */
            waiting?: number;
            current?: boolean;
            picture?: components["schemas"]["PictureView"];
            states?: {
                [key: string]: components["schemas"]["FaceView"];
            };
            drops?: boolean;
            words: string;
            note?: string;
            icon?: string;
            tone: string;
            trigger: string;
            href?: string;
            writes?: boolean;
            saves?: boolean;
            plate?: string;
            waits?: boolean;
        };
        /** @description A link of a text that is a way. */
        LinkView: {
            open?: boolean;
            reason?: string;
            href?: string;
        };
        /** @description A text. */
        TextView: {
            words: string;
            style: string;
            size?: string;
            weight?: string;
            rich?: boolean;
            links?: {
                [key: string]: components["schemas"]["LinkView"];
            };
        };
        /** @description A field of the record. */
        FieldView: {
            changed?: boolean;
            /** Format: double */
            min?: number;
            /** Format: double */
            max?: number;
            longest?: number;
            example?: string;
            secret?: boolean;
            add?: boolean;
            path: string;
            label: string;
            type: string;
            value: string;
            words: string;
            state: string;
            choices?: string[];
            unit?: string;
            table?: string;
            long?: boolean;
            required?: boolean;
            editable?: boolean;
            way?: boolean;
            href?: string;
            hint?: string;
            place?: string;
        };
        /** @description A stretch of a list. */
        ListView: {
            menu?: components["schemas"]["EntryView"][];
            table: string;
            label: string;
            main: boolean;
            columns: components["schemas"]["ColumnView"][];
            rows: components["schemas"]["RowView"][];
            before?: string;
            next?: string;
            count: number;
            more?: boolean;
            sort: components["schemas"]["Sort"][];
            opens?: boolean;
            chosen?: string;
            top?: string;
            choose?: boolean;
            inPlace?: boolean;
            adds?: boolean;
            several?: components["schemas"]["SeveralView"][];
            refused?: string;
            cards?: boolean;
            height?: string;
            groups?: {
                [key: string]: number;
            };
        };
        /** @description A column. */
        ColumnView: {
            /** @description how its values are written */
            format?: string;
            table?: string;
            nullable?: boolean;
            edits?: boolean;
            adds?: boolean;
            needed?: boolean;
            graded?: boolean;
            path: string;
            label: string;
            type: string;
            choices?: string[];
            unit?: string;
            /** Format: double */
            width: number;
            align?: string;
            look?: string;
            /** Format: double */
            total?: number;
            totalOf?: string;
        };
        /** @description A row. */
        RowView: {
            menu?: components["schemas"]["EntryView"][];
            cursor?: string;
            version?: string;
            edits?: boolean;
            key: string;
            title: string;
            cells: components["schemas"]["CellView"][];
            open?: boolean;
            reason?: string;
            href?: string;
            face?: components["schemas"]["RowFaceView"];
            group?: string;
        };
        /** @description A value in a row. */
        CellView: {
            words: string;
            value?: string;
        };
        /** @description One number, with what it was before. */
        TotalView: {
            words: string;
            /** Format: double */
            value?: number;
            unit?: string;
            of?: string;
            /** Format: double */
            before?: number;
            then?: string;
            refused?: string;
            way?: boolean;
            href?: string;
        };
        /** @description A picture with records and fixed marks placed on it. */
        SitePlanView: {
            label: string;
            words: string;
            digest?: string;
            table?: string;
            points: components["schemas"]["SitePoint"][];
            more?: boolean;
            off?: number;
            again?: boolean;
            /** @description of its own screen, that a chosen point narrows */
            input?: string;
            refused?: string;
        };
        /** @description One point of a site plan: a record, or a fixed mark. */
        SitePoint: {
            id: string;
            mark?: boolean;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
            words: string;
            face?: components["schemas"]["RowFaceView"];
            open?: boolean;
            reason?: string;
            href?: string;
            chosen?: boolean;
            menu?: components["schemas"]["EntryView"][];
        };
        /** @description How a row or point stands out, and what that means. */
        RowFaceView: {
            /** @enum {string} */
            tone?: "good" | "warn" | "stop" | "strong" | "quiet";
            words?: string;
        };
        /** @description A heading, with a frame around what stands within its cell. */
        GroupView: {
            words: string;
        };
        /** @description A chart. */
        ChartView: {
            span?: string;
            unit?: string;
            shape?: string;
            /** @description its measure in words */
            shows?: string;
            /** @description of dots: what puts them higher, in words */
            against?: string;
            againstUnit?: string;
            /** @description of dots: how large they are, in words */
            size?: string;
            again?: boolean;
            /** @description of its own screen, that a chosen point narrows */
            input?: string;
            /** @description several points can be chosen */
            several?: boolean;
            label: string;
            by: string;
            measure: string;
            splits?: components["schemas"]["PartView"][];
            points: components["schemas"]["PointView"][];
            chooses?: boolean;
            refused?: string;
            beyond?: number;
            rest?: components["schemas"]["PointView"];
        };
        PartView: {
            value: string;
            label: string;
        };
        /** @description A bar with its parts. */
        PointView: {
            /** @description of dots: how high, how large */
            more?: number[];
            chosen?: boolean;
            menu?: components["schemas"]["EntryView"][];
            value: string;
            label: string;
            /** Format: double */
            n: number;
            parts?: {
                [key: string]: number;
            };
            /** Format: double */
            before?: number;
        };
        /** @description A live number. */
        GaugeView: {
            words: string;
            state: string;
            /** Format: double */
            value?: number;
            shown: string;
            /** Format: double */
            set?: number;
            unit?: string;
            /** Format: double */
            min: number;
            /** Format: double */
            max: number;
            /** Format: double */
            low: number;
            /** Format: double */
            high: number;
            out?: boolean;
        };
        /** @description A thing of the plant: its shape, and how it is with it. */
        SymbolView: {
            /** @enum {string} */
            shape: "motor" | "pump" | "fan" | "valve" | "tank" | "belt" | "door" | "heater" | "light" | "brake";
            words: string;
            /** @description known or unknown */
            state: string;
            /** @enum {string} */
            tone?: "good" | "warn" | "stop" | "strong" | "quiet";
            says?: string;
            turn?: number;
            fill?: number;
            way?: boolean;
            href?: string;
        };
        /** @description A clip, and how it is played. */
        ClipView: {
            digest?: string;
            words: string;
            starts?: boolean;
            again?: boolean;
            silent?: boolean;
            bare?: boolean;
            ended?: boolean;
        };
        /** @description A live yes or no. */
        LampView: {
            words: string;
            state: string;
            shown: string;
            abnormal?: boolean;
        };
        /** @description Live numbers over time. */
        TrendView: {
            words: string;
            minutes: number;
            lines: components["schemas"]["LineView"][];
        };
        /** @description A line of a trend. */
        LineView: {
            id: string;
            words: string;
            unit?: string;
            /** Format: double */
            value?: number;
            /** Format: double */
            limit?: number;
            /** Format: double */
            max: number;
        };
        /** @description A picture with live words. */
        FigureView: {
            words: string;
            digest?: string;
            marks: components["schemas"]["MarkView"][];
        };
        /** @description A text on a figure. */
        MarkView: {
            id: string;
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
            words: string;
            abnormal?: boolean;
        };
        /** @description What the user is asked before anything is done. */
        Question: {
            pick?: components["schemas"]["Pick"];
            token?: string;
            hanging?: components["schemas"]["Hanging"][];
            kind: string;
            words: string;
            fields?: components["schemas"]["ConflictField"][];
        };
        /** @description A field changed by two people. */
        ConflictField: {
            field: string;
            label: string;
            mine: string;
            theirs: string;
        };
        /** @description A piece of a sentence; a chip when it has a part. */
        Chunk: {
            line?: string;
            among?: string;
            text: string;
            /**
             * @description what a picker changes; none for plain words
             * @enum {string}
             */
            part?: "trigger" | "roles" | "while" | "when" | "use" | "give" | "do" | "target" | "record" | "none" | "by" | "with" | "carry" | "spot" | "spotRow" | "mode" | "as" | "back" | "result" | "otherwise" | "confirm" | "arrive" | "table" | "verbs" | "rows" | "changes" | "hidden" | "readOnly" | "guard";
            tone?: string;
            case?: string;
            item?: string;
            bad?: boolean;
        };
        /** @description What a gate is for one user at one place. */
        Verdict: {
            state: string;
            by?: string;
            reason?: string;
            part?: components["schemas"]["Part"];
        };
        /** @description A way out of a screen. */
        WayOut: {
            wiring: string;
            gate: string;
            shared?: components["schemas"]["SharedUse"];
            rail?: string;
            element: string;
            trigger: string;
            words: string;
            kind: string;
            target?: string;
            title: string;
            glyph: string;
            brings?: string;
            how: string;
            state: string;
            by?: string;
            reason?: string;
            now: string;
            verdict: components["schemas"]["Verdict"];
            sentence: components["schemas"]["Chunk"][];
        };
        /** @description A way into a screen. */
        WayIn: {
            trigger: string;
            screen: string;
            title: string;
            area?: string;
            glyph: string;
            element: string;
            words: string;
            brings?: string;
            none?: string;
            roles: string;
            open: boolean;
        };
        /** @description One way to give an input its value. */
        Proposal: {
            words: string;
            note?: string;
            mode?: string;
            binding?: Binding;
        };
        /** @description A new password beside the old one. */
        PasswordChange: {
            old: string;
            new: string;
        };
        /** @description One attempt to sign in with this name. */
        SignInAttempt: {
            /** Format: date-time */
            at: string;
            from: string;
            ok: boolean;
        };
        /** @description What one may do in an application. */
        MyRights: {
            roles: string[];
            start?: string;
            tables: components["schemas"]["TableMay"][];
            screens: components["schemas"]["ScreenMay"][];
        };
        /** @description What one may do with one table. */
        TableMay: {
            table: string;
            label: string;
            verbs: string[];
            rows?: string;
            changes?: string;
            hidden?: string[];
        };
        /** @description A screen that one may be on. */
        ScreenMay: {
            title: string;
            area?: string;
            type: string;
            address?: string;
            while?: string;
        };
        /** @description A text with the place of the cursor. */
        CompletionRequest: {
            screen?: string;
            element?: string;
            table?: string;
            use?: string;
            text: string;
            at: number;
        };
        /** @description What could stand at a place of a text. */
        Completion: {
            from: number;
            to: number;
            offers: components["schemas"]["Offer"][];
            calling?: components["schemas"]["Signature"];
        };
        /** @description One text that could stand there. */
        Offer: {
            text: string;
            words: string;
            type?: string;
        };
        /** @description How a function is written. */
        Signature: {
            name: string;
            takes: string[];
            words: string;
            active: number;
        };
        /** @description Which way is asked about, for whom, and where. */
        WhyRequest: {
            as: string;
            journal?: string;
            place: components["schemas"]["Place"];
            element: string;
            trigger: string;
            row?: string;
            point?: string;
        };
        /** @description Why a way is open or shut. */
        Explanation: {
            state: string;
            reason?: string;
            judged: components["schemas"]["Judged"][];
            leads?: components["schemas"]["Leads"];
            roles: components["schemas"]["SeenBy"][];
            turns?: components["schemas"]["Turn"][];
        };
        /** @description One thing that was judged. */
        Judged: {
            what: string;
            state: string;
            words: string;
            part?: components["schemas"]["Part"];
        };
        /** @description Where a way leads. */
        Leads: {
            screen: string;
            title: string;
            mode: string;
            as?: string;
            address: string;
            inputs: components["schemas"]["LedInput"][];
            judged: components["schemas"]["Judged"][];
            opens: boolean;
        };
        /** @description One input of the target. */
        LedInput: {
            label: string;
            value: string;
            words: string;
            from: string;
        };
        /** @description How a role alone would see a way. */
        SeenBy: {
            role: string;
            name: string;
            state: string;
            reason?: string;
        };
        /** @description One comparison that would have to change. */
        Turn: {
            words: string;
            is: string;
            value?: string;
        };
        /** @description Who may do what, of the whole project. */
        RightsTable: {
            tables: components["schemas"]["TableRow"][];
            screens: components["schemas"]["ScreenRow"][];
            conditions: components["schemas"]["SharedCondition"][];
        };
        /** @description What each role may do with one table. */
        TableRow: {
            table: string;
            label: string;
            cells: components["schemas"]["TableCell"][];
        };
        /** @description What one role may do with one table. */
        TableCell: {
            role: string;
            grants: components["schemas"]["GrantWords"][];
        };
        /** @description One grant in words. */
        GrantWords: {
            id?: string;
            verbs: string[];
            rows?: string;
            changes?: string;
            hidden?: number;
            readOnly?: number;
            sentence: components["schemas"]["Chunk"][];
        };
        /** @description Who may be on one screen. */
        ScreenRow: {
            screen: string;
            title: string;
            area?: string;
            type: string;
            sentence: components["schemas"]["Chunk"][];
            cells: components["schemas"]["May"][];
        };
        /** @description Whether a role may be on a screen. */
        May: {
            role: string;
            state: string;
            words: string;
            by?: string;
        };
        /** @description A named condition and where it is used. */
        SharedCondition: {
            id: string;
            name: string;
            alias: string;
            table?: string;
            shown: string;
            phrase?: string;
            problem?: string;
            uses: components["schemas"]["Use"][];
        };
        /** @description A place where a shared condition is used. */
        Use: {
            screen?: string;
            element?: string;
            entity?: string;
            words: string;
        };
        /** @description The roles that a person is to have. */
        RolesChange: {
            roles: string[];
        };
        /** @description A name that a condition may use. */
        NameInfo: {
            writable?: boolean;
            path: string;
            words: string;
            type: string;
            choices?: string[];
            unit?: string;
            table?: string;
            of: string;
            kind: string;
            in?: string;
        };
        /** @description Those who use a release before all do: any with one of the roles, and these people */
        Some: {
            roles: string[];
            people: string[];
        };
        NewRelease: {
            note?: string;
            /** @description What stops it, and why it is released all the same */
            accepted?: {
                key: string;
                because: string;
            }[];
            first?: components["schemas"]["Some"];
            /**
             * Format: int64
             * @description The last edit that one has seen; a draft that was edited since is not released
             */
            seq?: number;
        };
        ReleaseTold: {
            number: number;
            by: string;
            /** Format: date-time */
            at: string;
            note: string;
            /** @description Edits that came with it; absent where it brought an older one back */
            changes?: number;
            copyOf?: number;
            /** @enum {string} */
            use: "all" | "some" | "past";
            /** @description Roles and people that it was made for first, by name */
            for: string[];
            /** Format: date-time */
            forAllAt?: string;
            accepted: {
                words: string;
                because: string;
            }[];
        };
        ReleaseList: {
            list: components["schemas"]["ReleaseTold"][];
            more: boolean;
        };
        Readiness: {
            /** Format: int64 */
            seq: number;
            stops: components["schemas"]["ReleaseStop"][];
            /** @description Findings that do not stop it */
            doubtful: number;
            /** @description Expectations that are kept */
            expected: number;
            /** @description Walks that went as expected */
            walks: number;
        };
        ReleaseStop: {
            key: string;
            /** @enum {string} */
            what: "finding" | "expectation" | "walk";
            words: string;
            evidence?: string;
            screen?: string;
            element?: string;
            walk?: string;
        };
        Differences: {
            from: number;
            to?: number;
            changes: components["schemas"]["ChangeTold"][];
            /** @description What is different in who gets where, as sentences */
            reach: string[];
        };
        ChangeTold: {
            entity: string;
            kind: string;
            name: string;
            screen?: string;
            element?: string;
            /** @enum {string} */
            how: "made" | "gone" | "changed";
            thing: string;
            what?: string;
            was?: string;
            now?: string;
            at: string;
            paths: string[];
            /** @description What is different, without the values */
            head: string;
            sentence: string;
            by?: string[];
        };
        EditTold: {
            /** Format: int64 */
            seq: number;
            /** @description The person’s name */
            by: string;
            account: string;
            /** Format: date-time */
            at: string;
            changes: components["schemas"]["ChangeTold"][];
            /** @description Changes of it that are not listed */
            more: number;
            /** @description What it is as a JSON Patch; empty for one with very many operations */
            patch: components["schemas"]["Op"][];
            /** Format: int64 */
            undoes?: number;
            /** Format: int64 */
            undone?: number;
            /** @description The first release that has it */
            release?: number;
        };
        EditHistory: {
            edits: components["schemas"]["EditTold"][];
            more: boolean;
        };
        ScreenThen: {
            /**
             * Format: int64
             * @description The last edit that is in it
             */
            seq: number;
            title: string;
            /** @description There was such a screen */
            there: boolean;
            view?: components["schemas"]["View"];
            refused?: components["schemas"]["Problem"];
            /** @description What was changed since */
            differences: components["schemas"]["ChangeTold"][];
        };
        /** @description Where in the builder a tab is */
        Presence: {
            tab: string;
            view: string;
            screen?: string;
            element?: string;
        };
        WalkShown: {
            stands?: components["schemas"]["View"];
            below?: components["schemas"]["View"];
            /** @description dialog or drawer, where it lies over another */
            over?: string;
            expected?: components["schemas"]["View"];
            differs?: components["schemas"]["WalkDifference"];
        };
        /** @description A walk of the document in words */
        WalkTold: {
            id: string;
            name: string;
            /** @description The name of who goes it, and their roles */
            who: string;
            /** @description Where the clock stands, in words; absent: when it is gone */
            at?: string;
            steps: components["schemas"]["WalkStepTold"][];
        };
        WalkStepTold: {
            id: string;
            does: string;
            words: string;
        };
        /** @description What came of a walk: how far it went, and where it differs */
        WalkResult: {
            walk: string;
            name: string;
            steps: {
                id: string;
                words: string;
                /** @description Heading of the screen where one stood then */
                stands: string;
                screen: string;
                /** @description Dialog or drawer, where it lies over another */
                over?: string;
            }[];
            differs?: components["schemas"]["WalkDifference"];
        };
        WalkDifference: {
            /** @description By id; none where the walk did not begin */
            step: string;
            words: string;
            expected: string;
            found: string;
            /** @description The condition that decided */
            why?: string;
            /** @description Where one stood then */
            screen?: string;
            /** @description The step as the document would have it, as things are now */
            now?: WalkStep;
        };
        /** @description Who gets where in a project */
        ReachTable: {
            who: components["schemas"]["Who"][];
            lines: components["schemas"]["ReachLine"][];
            expected: components["schemas"]["Expected"][];
            changed: number;
        };
        /** @description A set of roles that somebody may have */
        Who: {
            key: string;
            roles: string[];
            name: string;
            start?: string;
            people: number;
        };
        /** @description A screen with a cell for each set of roles */
        ReachLine: {
            screen: string;
            title: string;
            type: string;
            area?: string;
            cells: components["schemas"]["ReachCell"][];
        };
        /** @description How somebody gets to a screen, in short */
        ReachCell: {
            /** @enum {string} */
            kind: "start" | "sure" | "given" | "maybe" | "by itself" | "by address" | "never";
            presses?: number;
            given?: string[];
            trapped?: boolean;
            /** @enum {string} */
            expected?: "kept" | "broken" | "perhaps";
            was?: components["schemas"]["ReachCell"];
        };
        /** @description What is expected of who gets to a screen, and whether it is so */
        Expected: {
            id: string;
            screen: string;
            words: string;
            /** @enum {string} */
            kept: "kept" | "broken" | "perhaps";
            why?: string;
            keys: string[];
            steps: components["schemas"]["ReachStep"][];
        };
        /** @description One step of a path, in words */
        ReachStep: {
            screen: string;
            title: string;
            by: string;
            while?: string;
            given?: string[];
            unsure?: string[];
            over?: boolean;
            presses: number;
            on?: string;
            element?: string;
            trigger?: string;
        };
        /** @description How somebody gets to a screen, and back */
        ReachPath: {
            screen: string;
            title: string;
            cell: components["schemas"]["ReachCell"];
            start?: string;
            steps: components["schemas"]["ReachStep"][];
            back: components["schemas"]["ReachStep"][];
            returns: boolean;
            shut?: string;
            others: string[];
            about: components["schemas"]["Expected"][];
        };
        /** @description The paths between two screens */
        PathsBetween: {
            paths: components["schemas"]["ReachStep"][][];
            more: boolean;
        };
        /** @description All screens as plates, in columns by presses, and what leads from one to another */
        ScreenMap: {
            width: number;
            height: number;
            plate: components["schemas"]["MapSize"];
            columns: components["schemas"]["MapColumn"][];
            areas: components["schemas"]["MapBand"][];
            plates: components["schemas"]["MapPlate"][];
            wires: components["schemas"]["MapWire"][];
        };
        /** @description How wide and high */
        MapSize: {
            w: number;
            h: number;
        };
        /** @description All that is as many presses away */
        MapColumn: {
            head: string;
            note: string;
            x: number;
        };
        /** @description The screens of one area */
        MapBand: {
            name: string;
            y: number;
            h: number;
            screens: number;
        };
        /** @description A screen or a rail on the map */
        MapPlate: {
            id: string;
            rail?: boolean;
            title: string;
            type: string;
            area?: string;
            table?: string;
            /** @enum {string} */
            kind: "start" | "sure" | "given" | "maybe" | "by itself" | "by address" | "never";
            presses: number;
            trapped?: boolean;
            x: number;
            y: number;
        };
        /** @description All ways from one plate to another */
        MapWire: {
            from: string;
            to: string;
            n: number;
            /** @enum {string} */
            hold: "sure" | "maybe" | "never";
            points?: number[][];
            words?: string[];
            /** Format: int64 */
            week?: number;
            /** Format: int64 */
            long?: number;
        };
        /** @description One way of a wire, as a sentence */
        WireWay: {
            on: string;
            element: string;
            trigger: string;
            by: string;
            sentence: components["schemas"]["Chunk"][];
            /** @enum {string} */
            hold: "sure" | "maybe" | "never";
            while?: string[];
            unsure?: string[];
            /** Format: int64 */
            week: number;
            /** Format: int64 */
            long: number;
        };
        /** @description Something that a check proved. */
        Finding: {
            check: string;
            severity: string;
            screen: string;
            entity?: string;
            element?: string;
            trigger?: string;
            words: string;
            evidence?: string;
            mends?: components["schemas"]["Mend"][];
            accepted?: components["schemas"]["Accepted"];
            /** @description why it was accepted while it said something else */
            before?: string;
        };
        /** @description Why somebody lives with a finding. */
        Accepted: {
            id: string;
            because: string;
            by: string;
            at: string;
        };
        /** @description A safe change, or what is to be chosen. */
        Mend: {
            words: string;
            patch?: components["schemas"]["Op"][];
            chip?: string;
        };
        /** @description One operation of JSON Patch: test, add, remove, replace. */
        Op: {
            op: string;
            path: string;
            value?: unknown;
        };
        /** @description One value of a trend. */
        Sample: {
            /** Format: int64 */
            at: number;
            /** Format: double */
            value: number;
        };
        /** @description Name and password. */
        SignIn: {
            login: string;
            password: string;
        };
        /** @description Who is signed in. */
        Me: {
            id: string;
            name: string;
            login: string;
            builder: boolean;
            projects: components["schemas"]["ProjectInfo"][];
            attempts: components["schemas"]["SignInAttempt"][];
            sessions: number;
            /** @description may make applications */
            makes: boolean;
            /** @description administers the program, its people and its connections */
            administers: boolean;
        };
        /** @description A project that one may use or build. */
        ProjectInfo: {
            id: string;
            slug: string;
            title: string;
            released: number;
            uses: boolean;
            builds: boolean;
            roles: string[];
        };
        /** @description What the program can reach. */
        Status: {
            store: boolean;
            sources: {
                [key: string]: boolean;
            };
        };
        /** @description That the program lives. */
        Health: {
            alive: boolean;
        };
        /** @description What a server needs to answer, and whether it has it. */
        Probe: {
            ready: boolean;
            /** @description The program's own database answers. */
            store: boolean;
            /**
             * Format: int64
             * @description The number of the newest migration that this program knows.
             */
            structure: number;
            /** @description This server talks to the plants and watches call-ups, for all. */
            leads: boolean;
            /** @description The program ends; it answers what it has begun. */
            ending: boolean;
            plants: number;
            /** @description Of how many the values are good. */
            plantsGood: number;
        };
        /** @description What came of a write to the plant. */
        CommandOutcome: {
            label: string;
            state: string;
            reason?: string;
        };
        /** @description A pointer into a trail, or an address, or neither for the start screen. */
        OpenRequest: {
            from?: components["schemas"]["Pointer"];
            trail?: string;
            n?: number;
            /** @description The place that the pointer names is only read again: where the trail stands by then stays. */
            again?: boolean;
            address?: string;
        };
        /** @description A place of a trail, resolved. */
        Shown: {
            overlays?: components["schemas"]["OverlayView"][];
            draft?: components["schemas"]["KeptDraft"];
            others?: components["schemas"]["KeptDraft"][];
            /**
             * Format: double
             * @description seconds without a touch after which the tab goes back to the start; none for never
             */
            idleAfter?: number;
            /**
             * Format: double
             * @description seconds before that for which it is told
             */
            idleWarn?: number;
            round?: components["schemas"]["Round"];
            display?: components["schemas"]["Display"];
            /** @description the plant may call screens up for whoever it is shown to */
            callUps?: boolean;
            live?: boolean;
            trail: string;
            n: number;
            release: number;
            view: components["schemas"]["View"];
            back?: string;
            forward?: string;
            home: string;
            user: string;
            roles: string[];
            passed?: string;
        };
        CommandLogged: {
            /** Format: int64 */
            id: number;
            who: string;
            label: string;
            node: string;
            old?: string;
            value: string;
            state: string;
            why?: string;
            /** Format: date-time */
            at: string;
            /** Format: date-time */
            ended?: string;
        };
        CallUpRequest: {
            trail: string;
            n: number;
            /** Format: int64 */
            occurrence: number;
        };
        /** @description What comes to the front now, as a stream tells it. */
        CallUp: {
            /** @description the place of a tab that it is told */
            at?: string;
            /** Format: int64 */
            occurrence: number;
            words: string;
            /** @description its title */
            screen: string;
            /**
             * Format: int64
             * @description Unix milliseconds
             */
            began: number;
            /** @description it comes also over a question that waits for an answer */
            high?: boolean;
            /** @description one is where it leads already */
            here?: boolean;
        };
        /** @description How it is with a call-up now: of how many it is asked, for which it holds, and why that is not known. */
        CallUpNow: {
            callUp: string;
            of: number;
            /** @description as it would say it */
            on: string[];
            unknown?: string;
        };
        CallUpListed: {
            /** Format: int64 */
            occurrence: number;
            words: string;
            screen: string;
            address: string;
            /** Format: int64 */
            began: number;
            /** Format: int64 */
            ended?: number;
            seen?: boolean;
        };
        /** @description What was set off. It decides nothing. */
        PressRequest: {
            result?: string;
            picked?: {
                [key: string]: string;
            };
            tokens?: string[];
            depth?: number;
            trigger?: string;
            rows?: string[];
            chosen?: {
                [key: string]: string;
            };
            press: string;
            trail: string;
            n: number;
            release: number;
            element: string;
            row?: string;
            point?: string;
            /** @description the last of several points of time that were chosen together */
            pointTo?: string;
            /** @description the point or row is chosen besides those that are, or no more */
            also?: boolean;
            /** @description of several values to choose from: which */
            option?: string;
            /** @description of what is turned on and off: how it was drawn */
            seen?: string;
            values?: {
                [key: string]: string;
            };
            base?: {
                [key: string]: string;
            };
            version?: string;
            confirmed?: boolean;
            unsaved?: string;
            keep?: {
                [key: string]: string;
            };
        };
        /** @description What a press came to: moved, stayed, question. */
        PressResult: {
            then?: components["schemas"]["ThenPress"];
            as?: string;
            leave?: string;
            does?: components["schemas"]["Act"][];
            out?: boolean;
            forgot?: boolean;
            given?: components["schemas"]["Given"];
            choose?: components["schemas"]["Choice"];
            done?: number;
            address?: string;
            kind: string;
            shown?: components["schemas"]["Shown"];
            message?: string;
            question?: components["schemas"]["Question"];
            commands?: components["schemas"]["CommandOutcome"][];
        };
        /** @description Where in a round of screens a place is: which of how many, and for how long it stays untouched. */
        Round: {
            /** @description from 0 */
            at: number;
            of: number;
            /**
             * Format: double
             * @description seconds
             */
            stay: number;
        };
        /** @description What an unattended display may do beyond going along the ways of its screens. */
        Display: {
            leaves: boolean;
            files: boolean;
            prints: boolean;
        };
        /** @description Along a trail: to a place, back, forward, home, along a round. */
        GoRequest: {
            trail: string;
            n: number;
            to: string;
        };
        /** @description How a place’s list is narrowed and ordered; inputs to clear. */
        ArrangeRequest: {
            tabs?: {
                [key: string]: string;
            };
            depth?: number;
            find?: string;
            trail: string;
            n: number;
            filters: components["schemas"]["Filter"][];
            sort: components["schemas"]["Sort"][];
            clear?: string[];
        };
        /** @description A further page of a list. */
        RowsRequest: {
            depth?: number;
            cursor?: string;
            back?: boolean;
            trail: string;
            n: number;
            element: string;
        };
        TableOrders: {
            /** @description about how many records there are */
            rows: number;
            orders: components["schemas"]["TableOrder"][];
        };
        TableOrder: {
            words: string;
            /** @description of the records of one parent, the words of the relation to it */
            of?: string;
            places: string[];
            /** @description the one that serves it */
            index?: string;
            /** @description the statement that makes an index which serves it; neither this nor an index where none can */
            would?: string;
        };
        /** @description A record by its title. */
        Title: {
            key: string;
            title: string;
        };
        /** @description Elements whose live values changed. */
        LiveEvent: {
            /** @description the place of a tab that it is of: trail, place and how deep */
            at: string;
            n: number;
            revision: number;
            elements: components["schemas"]["ElementView"][];
            /** @description Ids of elements that are not on the screen any more. */
            gone?: string[];
        };
        /** @description A project as it is being built. */
        Draft: {
            checking?: boolean;
            id: string;
            slug: string;
            /**
             * Format: int64
             * @description the number of the last edit that is in the release; what is newer has changed since
             */
            since: number;
            /** @description name of the builder who asks */
            me: string;
            title: string;
            /** Format: int64 */
            seq: number;
            released: number;
            /** @description The release that some use first; absent where nobody does */
            trial?: number;
            changes: number;
            entities: Document;
            versions: {
                [key: string]: number;
            };
            findings: components["schemas"]["Finding"][];
            administers: boolean;
            people: components["schemas"]["Person"][];
            undo: boolean;
            redo: boolean;
            walks: boolean;
        };
        /** @description Somebody to walk as, with the two rights beside roles. */
        Person: {
            id: string;
            name: string;
            builds: boolean;
            administers: boolean;
            roles: string[];
        };
        /** @description The rights that a person is to have beside roles: to build the application, and to give roles and rights in it. */
        RightsChange: {
            builds: boolean;
            administers: boolean;
        };
        /** @description What somebody did to rights, releases or their account, and from where. */
        LogEntry: {
            /** Format: int64 */
            id: number;
            /** Format: date-time */
            at: string;
            who: string;
            what: string;
            detail: string;
            from: string;
        };
        /** @description A patch, with the versions it was made on. */
        EditRequest: {
            patch: components["schemas"]["Op"][];
            versions?: {
                [key: string]: number;
            };
        };
        /** @description An edit that was made. */
        Edited: {
            /** Format: int64 */
            seq: number;
            touched: string[];
            versions: {
                [key: string]: number;
            };
        };
        /** @description A screen to be shown at work. */
        WorkRequest: {
            spot?: string;
            vars?: {
                [key: string]: string;
            };
            tabs?: {
                [key: string]: string;
            };
            find?: string;
            set?: {
                [key: string]: string;
            };
            journal?: string;
            screen: string;
            as: string;
            inputs?: {
                [key: string]: string;
            };
            mode?: string;
            filters?: components["schemas"]["Filter"][];
            sort?: components["schemas"]["Sort"][];
        };
        /** @description A stretch of a list on a screen at work. */
        WorkRowsRequest: {
            work: components["schemas"]["WorkRequest"];
            element: string;
            cursor?: string;
            back?: boolean;
        };
        /** @description A screen at work for the walked user, between its ways in and out. */
        AtWork: {
            screen: string;
            /** Format: int64 */
            seq: number;
            view?: components["schemas"]["View"];
            refused?: components["schemas"]["Problem"];
            ways: components["schemas"]["WayOut"][];
            waysIn: components["schemas"]["WayIn"][];
            entered: string;
            presses: number;
            user: string;
            needs?: components["schemas"]["NeededInput"][];
            /** @description the roles of the walked user, as the table of reach names them */
            who: string;
            /** @description how surely they get there */
            how: string;
            /** @description ways that are proven never to open for some who get here */
            shut?: components["schemas"]["ShutWay"][];
        };
        /** @description A way that is proven never to open for some who get to its screen */
        ShutWay: {
            element: string;
            trigger: string;
            /** @description for whom, in words */
            roles: string;
        };
        /** @description An input that the screen needs and has not got. */
        NeededInput: {
            input: string;
            label: string;
            table?: string;
        };
        /** @description A press in build: acts, and is rolled back. */
        PractiseRequest: {
            as: string;
            place: components["schemas"]["Place"];
            press: components["schemas"]["PressRequest"];
            journal?: string;
        };
        /** @description What a practised press came to. */
        Practised: {
            vars?: {
                [key: string]: string;
            };
            back?: string;
            result?: string;
            leave?: string;
            does?: components["schemas"]["Act"][];
            kind: string;
            place?: components["schemas"]["Place"];
            as?: string;
            move?: string;
            message?: string;
            question?: components["schemas"]["Question"];
            journal: string;
            would?: string[];
        };
        /** @description A condition as text or rows, to be read. It stands on a screen, or speaks of a table's records. */
        ConditionRequest: {
            value?: boolean;
            screen?: string;
            element?: string;
            table?: string;
            use?: string;
            text?: string;
            rows?: components["schemas"]["Rows"];
            template?: boolean;
        };
        /** @description A condition as it was read. */
        ConditionRead: {
            stored: string;
            shown: string;
            phrase: string;
            rows?: components["schemas"]["Rows"];
            problem?: components["schemas"]["TextProblem"];
        };
        /** @description Which input of which target is to be bound. */
        ProposalRequest: {
            trigger?: string;
            inside?: boolean;
            screen: string;
            element: string;
            target: string;
            input: string;
        };
        /** @description A release. */
        Released: {
            number: number;
        };
        /** @description Samples by line. */
        Trend: {
            [key: string]: components["schemas"]["Sample"][];
        };
        /** @description The list that a record was opened from, as it was then. */
        From: {
            screen?: string;
            element?: string;
            inputs?: {
                [key: string]: string;
            };
            filters?: components["schemas"]["Filter"][];
            sort?: components["schemas"]["Sort"][];
            find?: string;
            at?: string;
            key?: string;
        };
        /** @description How a list was left. */
        Look: {
            start?: string;
            row?: string;
            top?: string;
        };
        /** @description The neighbours of the record, and the buttons that step there. */
        StepView: {
            slow?: boolean;
            previous?: string;
            next?: string;
            previousBy?: string;
            nextBy?: string;
        };
        /** @description Where a record stands in the list come from. */
        Position: {
            slow: boolean;
            list: string;
            at: number;
            past: boolean;
            of: number;
            more: boolean;
            gone: boolean;
        };
        /** @description What can be done with chosen rows. */
        SeveralView: {
            id: string;
            words: string;
            state: string;
            reason?: string;
        };
        /** @description What refers to a record that is to be deleted. */
        Hanging: {
            label: string;
            n: number;
            then: string;
        };
        /** @description The row of a list that is chosen from now on. */
        Choice: {
            list: string;
            row?: string;
            adding?: boolean;
        };
        /** @description A dialog or drawer over a place. */
        OverlayView: {
            view: components["schemas"]["View"];
            as: string;
            into?: string;
            draft?: components["schemas"]["KeptDraft"];
            others?: components["schemas"]["KeptDraft"][];
        };
        /** @description What was typed and not saved. */
        KeptDraft: {
            id: string;
            /** Format: date-time */
            at: string;
            version: string;
            base: {
                [key: string]: string;
            };
            values: {
                [key: string]: string;
            };
        };
        /** @description A record that a dialog came to, for a field of the screen below. */
        Given: {
            depth: number;
            field: string;
            key: string;
            title: string;
        };
        /** @description A place of a trail; at a depth the dialogs over it, 0 the screen itself. */
        Pointer: {
            trail: string;
            n: number;
            depth?: number;
        };
        /** @description How lists of a place were left. */
        LookRequest: {
            trail: string;
            n: number;
            depth?: number;
            look: {
                [key: string]: components["schemas"]["Look"];
            };
        };
        /** @description What depends on the chosen rows. */
        Looked: {
            elements: components["schemas"]["ElementView"][];
        };
        /** @description What was typed on a form; nothing forgets it. */
        DraftRequest: {
            trail: string;
            n: number;
            depth?: number;
            id?: string;
            version?: string;
            base: {
                [key: string]: string;
            };
            values: {
                [key: string]: string;
            };
        };
        /** @description A draft that is kept, or none. */
        DraftKept: {
            id?: string;
        };
        /** @description A draft of another tab to go on with here, or to forget. */
        TakeRequest: {
            trail: string;
            n: number;
            depth?: number;
            id: string;
        };
        /** @description A field whose missing record is to be added in a dialog. */
        AddParentRequest: {
            trail: string;
            n: number;
            depth?: number;
            field: string;
        };
        /** @description A place of the trail. */
        RecentPlace: {
            n: number;
            title: string;
            note: string;
            /** Format: date-time */
            at: string;
            here: boolean;
        };
        /** @description How a user likes a list: what narrows and orders it, and widths. */
        ListChoice: {
            name: string;
            filters?: components["schemas"]["Filter"][];
            sort?: components["schemas"]["Sort"][];
            find?: string;
            widths?: {
                [key: string]: number;
            };
        };
        /** @description A block of tabs. */
        TabsView: {
            tabs: components["schemas"]["TabView"][];
            open: string;
        };
        /** @description Guided tasks that can be begun or gone on with. */
        TasksView: {
            words?: string;
            tasks: components["schemas"]["TaskView"][];
        };
        /** @description A guided task. */
        TaskView: {
            id: string;
            words: string;
            /** @enum {string} */
            state: "open" | "begun" | "done" | "unknown";
            step?: number;
            of?: number;
            /**
             * Format: int64
             * @description Unix milliseconds
             */
            since?: number;
            shut?: boolean;
            reason?: string;
            href?: string;
        };
        /** @description A guided task: its steps in order. */
        StepsView: {
            label?: string;
            steps: components["schemas"]["TaskStepView"][];
            open: string;
            /** @description which of them is open, from 1 */
            at: number;
        };
        TaskStepView: {
            id: string;
            label: string;
            /** @description all that it asks for is there, and so it is before it */
            done?: boolean;
            /** @description something before it is missing */
            shut?: boolean;
            /** @description it is no part of the task now; builders see it all the same */
            apart?: boolean;
            fields: string[];
        };
        /** @description A tab. */
        TabView: {
            id: string;
            label: string;
            /** @description that it is opened sets something off */
            way?: boolean;
        };
        /** @description A picture of the project on a button. */
        PictureView: {
            digest: string;
            words: string;
        };
        /** @description What a face of a button changes. */
        FaceView: {
            colour?: string;
            words?: string;
            icon?: string;
            tone?: string;
            picture?: components["schemas"]["PictureView"];
        };
        /** @description A picture of the project. */
        ImageView: {
            digest?: string;
            words: string;
            way?: boolean;
            href?: string;
        };
        /** @description A strip shared by many screens. */
        RailView: {
            drawer?: components["schemas"]["RailDrawer"];
            id: string;
            name: string;
            edge: string;
            elements: components["schemas"]["ElementView"][];
            never?: string[];
        };
        /** @description A way that no element sets off. */
        WayView: {
            id: string;
            trigger: string;
            side?: string;
            /** Format: double */
            after?: number;
            /** @description what the time is counted from: touch, or arrival where it is not said */
            since?: string;
            keys?: string;
            words: string;
        };
        /** @description A line of the menu of a row or point. */
        EntryView: {
            id: string;
            words: string;
            state?: string;
            reason?: string;
            href?: string;
        };
        /** @description Something that only the browser can do: export, print, open or close a drawer. */
        Act: {
            how?: string;
            rail?: string;
            what: string;
            list?: string;
        };
        /** @description A record that the user is to choose first. */
        Pick: {
            input: string;
            table: string;
            one: string;
        };
        /** @description A shared gate as a way uses it. */
        SharedUse: {
            id: string;
            name: string;
            uses: components["schemas"]["Use"][];
        };
        /** @description A picture to be kept. */
        AddPicture: {
            data: string;
        };
        /** @description A picture that is kept, by the digest of its bytes. */
        PictureKept: {
            digest: string;
            media: string;
        };
        /** @description A screen that another project offers. */
        OfferedScreen: {
            project: string;
            title: string;
            entry: string;
            screen: string;
            inputs: components["schemas"]["OfferedInput"][];
        };
        /** @description An input of an offered screen. */
        OfferedInput: {
            alias: string;
            label: string;
            required?: boolean;
            type: string;
        };
        /** @description The press that follows when a dialog came back: of what opened it, with what it came back with. */
        ThenPress: {
            depth: number;
            element: string;
            trigger: string;
            row?: string;
            point?: string;
            result: string;
        };
        /** @description How a rail that is a drawer opens, besides by gates, and how far. */
        RailDrawer: {
            size?: number;
            touch?: boolean;
            pull?: boolean;
        };
        /** @description A variable with its value, in words. */
        VarInfo: {
            id: string;
            label: string;
            words: string;
            own?: boolean;
        };
    };
    responses: {
        /** @description a no */
        No: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/json": components["schemas"]["Problem"];
            };
        };
    };
    parameters: {
        Project: string;
        /** @description of a release */
        Number: number;
        /** @description made by who sends it; what is sent again with it is done once */
        Once: string;
    };
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    getStatus: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Status"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getHealth: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description it does */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Health"];
                };
            };
        };
    };
    getReady: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description they are */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Probe"];
                };
            };
            /** @description they are not */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Probe"];
                };
            };
        };
    };
    signIn: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignIn"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Me"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    signOut: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getMe: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Me"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    openPlace: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    callUp: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CallUpRequest"];
            };
        };
        responses: {
            /** @description what is shown now */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getCallUps: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description what holds still first, then what was lately */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CallUpListed"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    seeCallUp: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                occurrence: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    hold: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                press: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description it is held */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    letGo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                press: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    press: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PressRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PressResult"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    goAlong: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GoRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    arrange: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ArrangeRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    moreRows: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RowsRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ListView"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getTitles: {
        parameters: {
            query?: {
                /** @description just this record */
                key?: string;
                q?: string;
            };
            header?: never;
            path: {
                project: string;
                table: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Title"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getTrend: {
        parameters: {
            query: {
                trail: string;
                n: number;
                element: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trend"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getEvents: {
        parameters: {
            query: {
                /** @description places of tabs: trail, place and how deep, with dots between */
                at: string[];
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description events */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/event-stream": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getDraft: {
        parameters: {
            query?: {
                /** @description the sequence number of the draft that one has; only entities of later versions are sent */
                since?: number;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Draft"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    edit: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: string;
            };
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EditRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Edited"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    undo: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: string;
            };
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Edited"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    redo: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: string;
            };
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Edited"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    showAtWork: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WorkRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AtWork"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    moreRowsAtWork: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WorkRowsRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ListView"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    trendAtWork: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WorkRowsRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trend"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    practise: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PractiseRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Practised"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readCondition: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ConditionRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ConditionRead"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getNames: {
        parameters: {
            query?: {
                screen?: string;
                element?: string;
                table?: string;
                use?: string;
                under?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NameInfo"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    propose: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProposalRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Proposal"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getRecords: {
        parameters: {
            query: {
                as: string;
                key?: string;
                q?: string;
            };
            header?: never;
            path: {
                project: string;
                table: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Title"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getOrders: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                table: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TableOrders"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getReleases: {
        parameters: {
            query?: {
                /** @description older than this one */
                before?: number;
            };
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseList"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    putIntoUse: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: components["parameters"]["Once"];
            };
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewRelease"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Released"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    getReadiness: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Readiness"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    bringBack: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: components["parameters"]["Once"];
            };
            path: {
                project: components["parameters"]["Project"];
                /** @description of a release */
                number: components["parameters"]["Number"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    note?: string;
                };
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Released"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    endTrial: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
                /** @description of a release */
                number: components["parameters"]["Number"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    all: boolean;
                };
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            default: components["responses"]["No"];
        };
    };
    exportRelease: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
                /** @description of a release */
                number: components["parameters"]["Number"];
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": Record<string, never>;
                };
            };
            default: components["responses"]["No"];
        };
    };
    getDifferences: {
        parameters: {
            query: {
                /** @description a release; 0: there was none */
                was: number;
                /** @description a release; absent: the draft */
                now?: number;
            };
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Differences"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    getHistory: {
        parameters: {
            query?: {
                /** @description only those that touch it */
                entity?: string;
                /** @description only those of this person */
                by?: string;
                /** @description older than this one */
                before?: number;
            };
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EditHistory"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    takeBack: {
        parameters: {
            query?: never;
            header?: {
                /** @description made by who sends it; what is sent again with it is done once */
                "Idempotency-Key"?: components["parameters"]["Once"];
            };
            path: {
                project: components["parameters"]["Project"];
                seq: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Edited"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    getScreenThen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    screen: string;
                    as: string;
                    /** Format: date-time */
                    at?: string;
                    /**
                     * Format: int64
                     * @description an edit
                     */
                    before?: number;
                };
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ScreenThen"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    showPresence: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Presence"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            default: components["responses"]["No"];
        };
    };
    getBuildEvents: {
        parameters: {
            query?: {
                /** @description under which it says where in the builder it is */
                tab?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description events */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/event-stream": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    changePassword: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PasswordChange"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    signOutEverywhere: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getMyRights: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MyRights"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    completeText: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CompletionRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Completion"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    explainWay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WhyRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Explanation"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getRights: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RightsTable"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getValues: {
        parameters: {
            query: {
                as: string;
                q?: string;
            };
            header?: never;
            path: {
                project: string;
                table: string;
                field: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": string[];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getExtent: {
        parameters: {
            query: {
                as: string;
            };
            header?: never;
            path: {
                project: string;
                table: string;
                field: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": number[];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    setRoles: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                person: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RolesChange"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    setRights: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                person: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RightsChange"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getCommands: {
        parameters: {
            query?: {
                /** @description entries older than this one */
                before?: number;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description newest first */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommandLogged"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getLog: {
        parameters: {
            query?: {
                /** @description entries older than this one */
                before?: number;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LogEntry"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPosition: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Pointer"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Position"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    keepLook: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LookRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Looked"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    keepDraft: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DraftRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DraftKept"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    takeDraft: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    forgetDraft: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    forkTrail: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Pointer"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPlaces: {
        parameters: {
            query: {
                trail: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RecentPlace"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    addParent: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddParentRequest"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Shown"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getCsv: {
        parameters: {
            query: {
                trail: string;
                n: number;
                depth?: number;
                element: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getListViews: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                screen: string;
                element: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ListChoice"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    keepListView: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                screen: string;
                element: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ListChoice"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    dropListView: {
        parameters: {
            query?: {
                name?: string;
            };
            header?: never;
            path: {
                project: string;
                screen: string;
                element: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getImage: {
        parameters: {
            query: {
                trail: string;
                n: number;
                depth?: number;
                field?: string;
                digest?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/*": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    addPicture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddPicture"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PictureKept"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    addClip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddPicture"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PictureKept"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPicture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                digest: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/*": string;
                    "video/*": string;
                };
            };
            /** @description the part that was asked for */
            206: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "video/*": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getOffers: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OfferedScreen"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getFirst: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["First"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    makeFirst: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FirstPerson"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    useLink: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LinkUsed"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LinkFor"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readLink: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LinkAsked"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LinkFor"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPeople: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PeoplePage"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    addPeople: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewPeople"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PeopleAdded"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    changePerson: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                person: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PersonChange"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    makeLink: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                person: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MadeLink"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    endSessions: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                person: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    setRolesIn: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                person: string;
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RolesIn"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getDevices: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DevicesPage"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    addDevice: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DeviceChange"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AddedDevice"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    changeDevice: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                device: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DeviceChange"];
            };
        };
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    removeDevice: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                device: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    makeCode: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                device: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AddedDevice"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    enrol: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypedCode"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Enrolled"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getConnections: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ConnectionInfo"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    tryConnection: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ConnectionKept"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Tried"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    keepConnection: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ConnectionKept"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Tried"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    removeConnection: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    tryKept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Tried"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    makePressTable: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Tried"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getTables: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Structure"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    proposeApplication: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Wish"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProposedApplication"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getApplications: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ApplicationState"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    makeApplication: {
        parameters: {
            query?: {
                /** @description the address of an application that has neither tables nor screens yet, which gets them */
                into?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Wish"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MadeApplication"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    lookAtFile: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": Record<string, never>;
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FileLook"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    importFile: {
        parameters: {
            query?: {
                /** @description what the application is to be known by; one is made when absent */
                id?: string;
                title?: string;
                slug?: string;
                /** @description which connection here takes the place of which in the file, as “there=here” */
                connect?: string[];
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": Record<string, never>;
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MadeApplication"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    exportApplication: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": Record<string, never>;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readAgain: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SourceRead"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getProgramLog: {
        parameters: {
            query?: {
                /** @description entries older than this one */
                before?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LogEntry"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getNodes: {
        parameters: {
            query?: {
                below?: string;
                words?: string;
            };
            header?: never;
            path: {
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlantNodes"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPlantCertificate: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShownCertificate"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    proposeEquipment: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EquipmentAsked"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProposedEquipment"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getEquipment: {
        parameters: {
            query: {
                record: string;
                as: string;
            };
            header?: never;
            path: {
                project: string;
                table: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TagNow"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getReach: {
        parameters: {
            query?: {
                against?: "release" | "edit";
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReachTable"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getReachPath: {
        parameters: {
            query: {
                screen: string;
                who: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReachPath"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPathsBetween: {
        parameters: {
            query: {
                from: string;
                to: string;
                who: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PathsBetween"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getWalks: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WalkTold"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    goWalks: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    /** @description Which, by id */
                    walks: string[];
                };
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WalkResult"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    showWalk: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: components["parameters"]["Project"];
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    walk: string;
                    /** @description By id; absent: before any */
                    step?: string;
                };
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WalkShown"];
                };
            };
            default: components["responses"]["No"];
        };
    };
    nameWalk: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": {
                    /** @description Whom one walked as */
                    as: string;
                    /** @description In order, as the document has them */
                    steps: WalkStep[];
                };
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        who: Walker;
                        steps: WalkStep[];
                    };
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getMap: {
        parameters: {
            query?: {
                who?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ScreenMap"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getWireWays: {
        parameters: {
            query: {
                from: string;
                to: string;
                who?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WireWay"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getMapPicture: {
        parameters: {
            query?: {
                who?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/svg+xml": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getMapStates: {
        parameters: {
            query?: {
                who?: string;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/scxml+xml": string;
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getCallUpsNow: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CallUpNow"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getTags: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TagNow"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    proposeTag: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TagAsked"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProposedTag"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    offerForCell: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CellWish"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CellOffer"][];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    proposeLater: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                table: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LaterAsked"];
            };
        };
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProposedLater"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPlants: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": string[];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    getPlantNodes: {
        parameters: {
            query?: {
                below?: string;
                words?: string;
            };
            header?: never;
            path: {
                project: string;
                connection: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description done */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlantNodes"];
                };
            };
            /** @description a no */
            default: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
}
