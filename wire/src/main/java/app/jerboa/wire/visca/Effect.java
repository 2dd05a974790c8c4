package app.jerboa.wire.visca;

/** What a request does to a camera, for whoever is about to send it. */
public enum Effect {
    READS,
    SETS,
    /** The head or the lens runs, now or until it has arrived. */
    MOVES,
    POWERS,
    /** Every camera of a chain takes another number. */
    RENUMBERS,
    /** Nobody here knows. */
    UNKNOWN;

    public static Effect of(ViscaRequest request) {
        return request.inquiry() ? READS : request.match(CASES);
    }

    private static final ViscaRequest.Cases<Effect> CASES =
            new ViscaRequest.Cases<>() {
                @Override
                public Effect drive(ViscaRequest.Drive it) {
                    return it.stops() ? SETS : MOVES;
                }

                @Override
                public Effect zoom(ViscaRequest.Zoom it) {
                    return it.speed() == 0 ? SETS : MOVES;
                }

                @Override
                public Effect home(ViscaRequest.Home it) {
                    return MOVES;
                }

                @Override
                public Effect clear(ViscaRequest.Clear it) {
                    return SETS;
                }

                @Override
                public Effect askVersion(ViscaRequest.AskVersion it) {
                    return READS;
                }

                @Override
                public Effect askPanTilt(ViscaRequest.AskPanTilt it) {
                    return READS;
                }

                @Override
                public Effect askZoom(ViscaRequest.AskZoom it) {
                    return READS;
                }

                @Override
                public Effect sent(ViscaRequest.Sent it) {
                    return switch (it.message()) {
                        case ABSOLUTE,
                                RELATIVE,
                                RESET,
                                ZOOM_DIRECT,
                                FOCUS_DIRECT,
                                FOCUS_FAR,
                                FOCUS_NEAR,
                                FOCUS_FAR_AT,
                                FOCUS_NEAR_AT,
                                PRESET_RECALL ->
                                MOVES;
                        case POWER -> POWERS;
                        case ADDRESS_SET -> RENUMBERS;
                        default -> SETS;
                    };
                }

                @Override
                public Effect raw(ViscaRequest.Raw it) {
                    return ViscaRequest.decode(it.encode(1))
                            .toOptional()
                            .map(a -> of(a.request()))
                            .orElse(UNKNOWN);
                }
            };
}
