package app.jerboa.core.video;

/** How far passive picture leads reach, in metres. */
public final class LeadReach {
    private static final double HD_GBPS = 2.97;
    private static final double UHD_GBPS = 5.94;

    /** Of active HDMI leads as they are commonly sold; the lead's own figure goes before. */
    public static final double HDMI_ACTIVE = 30;

    public static final double USB_2 = 5;
    public static final double USB_3 = 3;

    private LeadReach() {}

    /**
     * Of a passive HDMI lead: 15 m to 1080p60, 8 m for 2160p30, 5 m beyond.
     *
     * @param gigabits of the picture, see {@link VideoLink}
     */
    public static double hdmi(double gigabits) {
        if (gigabits <= HD_GBPS) {
            return 15;
        }
        return gigabits <= UHD_GBPS ? 8 : 5;
    }
}
