package app.jerboa.core.job.identity;

import java.util.Arrays;

/**
 * The cheapest way to give every row a column of its own, by the Hungarian method: O(rows² ×
 * columns).
 */
final class Assignment {
    private Assignment() {}

    /**
     * @param cost by row and column, 0 or more; at least as many columns as rows
     * @return the column of each row
     */
    static int[] cheapest(int[][] cost) {
        int rows = cost.length;
        int columns = rows == 0 ? 0 : cost[0].length;
        int[] rowPrice = new int[rows + 1];
        int[] columnPrice = new int[columns + 1];
        int[] rowOf = new int[columns + 1];
        int[] cameFrom = new int[columns + 1];
        for (int row = 1; row <= rows; row++) {
            rowOf[0] = row;
            int column = 0;
            int[] least = new int[columns + 1];
            boolean[] done = new boolean[columns + 1];
            Arrays.fill(least, Integer.MAX_VALUE);
            while (rowOf[column] != 0) {
                done[column] = true;
                int from = rowOf[column];
                int step = Integer.MAX_VALUE;
                int next = 0;
                for (int c = 1; c <= columns; c++) {
                    if (!done[c]) {
                        int over = cost[from - 1][c - 1] - rowPrice[from] - columnPrice[c];
                        if (over < least[c]) {
                            least[c] = over;
                            cameFrom[c] = column;
                        }
                        if (least[c] < step) {
                            step = least[c];
                            next = c;
                        }
                    }
                }
                for (int c = 0; c <= columns; c++) {
                    if (done[c]) {
                        rowPrice[rowOf[c]] += step;
                        columnPrice[c] -= step;
                    } else {
                        least[c] -= step;
                    }
                }
                column = next;
            }
            while (column != 0) {
                int before = cameFrom[column];
                rowOf[column] = rowOf[before];
                column = before;
            }
        }
        int[] columnOf = new int[rows];
        for (int c = 1; c <= columns; c++) {
            if (rowOf[c] != 0) {
                columnOf[rowOf[c] - 1] = c - 1;
            }
        }
        return columnOf;
    }
}
